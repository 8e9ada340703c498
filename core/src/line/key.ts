/** The twelve keys of a telephone, in the order they stand on it (ITU-T E.161). */
export const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'] as const;

export type Key = (typeof keys)[number];

export function isKey(text: unknown): text is Key {
  return keys.includes(text as Key);
}

/** How a key is said in a sentence: digits as they are, `*` as star, `#` as pound. */
export function spokenKey(key: Key): string {
  if (key === '*') return 'star';
  return key === '#' ? 'pound' : key;
}
