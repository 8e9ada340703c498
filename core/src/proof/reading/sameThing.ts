const empty = new Set(
  'the and for our your with that this all any who hear speak talk reach leave find about from have please department desk'.split(
    ' ',
  ),
);

/** Whether two texts can be about the same thing: they share a word that means something, or one has none. */
export function mayBeSame(one: string, other: string): boolean {
  const [first, second] = [meaning(one), meaning(other)];
  if (first.length === 0 || second.length === 0) return true;
  return first.some((word) => second.some((each) => each.startsWith(word) || word.startsWith(each)));
}

/** The beginnings of the words that mean something, so that "repairs" and "repair" are alike. */
function meaning(text: string): readonly string[] {
  const plain = text.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '');
  return (plain.match(/\p{L}{3,}/gu) ?? []).filter((word) => !empty.has(word)).map((word) => word.slice(0, 5));
}
