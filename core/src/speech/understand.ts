/** Something a caller can say, by any of its names. */
export interface Sayable<Value> {
  readonly names: readonly string[];
  readonly value: Value;
}

const fillers = new Set(['a', 'an', 'the', 'to', 'for', 'please', 'with', 'speak', 'talk', 'me', 'i', 'want', 'and']);

/**
 * What a caller's words may mean: exactly one of the names said, else every name all of whose words were said, else
 * every name that contains all that was said. None, one or several come back, in the order given.
 */
export function understand<Value>(said: string, choices: readonly Sayable<Value>[]): readonly Value[] {
  const heard = wordsIn(said);
  if (heard.length === 0) return [];
  const named = choices.map(({ names, value }) => ({
    value,
    names: names.map(wordsIn).filter(({ length }) => length),
  }));
  const meaning = (isMeant: (name: readonly string[]) => boolean): readonly Value[] =>
    named.filter(({ names }) => names.some(isMeant)).map(({ value }) => value);
  const exact = meaning((name) => name.join(' ') === heard.join(' '));
  if (exact.length > 0) return exact;
  const whole = meaning((name) => name.every((word) => heard.includes(word)));
  return whole.length > 0 ? whole : meaning((name) => heard.every((word) => name.includes(word)));
}

/** Words with accents folded, hyphens taken as spaces, and what carries no meaning left out. */
function wordsIn(text: string): readonly string[] {
  const plain = text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\p{M}’']/gu, '');
  return plain.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== '' && !fillers.has(word));
}
