/** Numbers as people write them out, up to fifty-nine. */
const ones = 'zero one two three four five six seven eight nine ten eleven twelve'.split(' ');
const tens: Readonly<Record<string, number>> = { fifteen: 15, twenty: 20, thirty: 30, forty: 40, 'forty-five': 45 };

/** The number that a word or digits stand for; undefined for anything else. */
export function numberOf(word: string): number | undefined {
  const plain = word.toLowerCase();
  if (/^\d+$/.test(plain)) return Number(plain);
  const at = ones.indexOf(plain);
  return at >= 0 ? at : tens[plain];
}

/** What matches a number up to twelve, in words or digits. */
export const hourPattern = `(?:\\d{1,2}|${ones.slice(1).join('|')})`;
/** What matches minutes in words. */
export const minutePattern = Object.keys(tens).reverse().join('|');
