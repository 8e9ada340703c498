/** A word of what should be said, with every way in which people say it. */
export interface Token {
  /** As it is written. */
  readonly written: string;
  /** Each a row of words as a pronouncing dictionary has them; at least one. */
  readonly ways: readonly (readonly string[])[];
  /** What may have been said in its place without sounding odd; null for a word that is no number, day or month. */
  readonly kind: SlotKind | null;
}

/** What is easily said wrongly, and matters: a key or a time, a day, a month, a part of the day, a direction, open or closed. */
export type SlotKind = 'number' | 'weekday' | 'month' | 'half' | 'time' | 'direction' | 'state';

const digits = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
const teens = 'ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ');
const tens = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');

/** The words that can stand in a slot of each kind. */
export const slotWords: Readonly<Record<SlotKind, readonly string[]>> = {
  number: [...digits, 'oh', ...teens, ...tens, 'hundred', 'star', 'pound', 'hash'],
  weekday: 'monday tuesday wednesday thursday friday saturday sunday'.split(' '),
  month: 'january february march april may june july august september october november december'.split(' '),
  half: ['a', 'p'],
  time: 'morning afternoon evening noon midnight today tomorrow tonight'.split(' '),
  direction: 'north south east west left right'.split(' '),
  state: ['open', 'closed'],
};

const mayIsAVerb = /\bmay\b/i;

/** The words of a sentence as a recogniser of English knows them: small letters, no marks, numbers as they are said. */
export function tokensOf(sentence: string): readonly Token[] {
  const plain = sentence
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[’]/g, "'")
    .replace(/&/g, ' and ')
    .replace(/\bo'clock\b/gi, 'o_clock')
    .replace(/([*#])/g, (_, key: string) => (key === '*' ? ' star ' : ' pound '))
    .replace(/(\d)[:.](\d\d)\b/g, '$1 $2')
    .replace(/(\d),(\d{3})\b/g, '$1$2');
  const rows = plain.match(/\d+(?:st|nd|rd|th)?|[A-Za-z][A-Za-z'_]*/g) ?? [];
  return rows.flatMap((written, index) => tokenOf(written, rows[index + 1]) ?? []);
}

function tokenOf(written: string, next: string | undefined): Token | null {
  const ordinal = /^(\d+)(?:st|nd|rd|th)$/.exec(written);
  if (ordinal) return { written, ways: [ordinalWords(Number(ordinal[1]))], kind: null };
  if (/^\d+$/.test(written)) return { written, ways: numberWays(written), kind: 'number' };
  const word = written
    .toLowerCase()
    .replace('_', "'")
    .replace(/^'+|'+$/g, '');
  if (word === '') return null;
  const isHalf = (word === 'a' || word === 'p') && next?.toLowerCase() === 'm';
  return { written, ways: waysOf(word), kind: isHalf ? 'half' : kindOf(word) };
}

function waysOf(word: string): readonly (readonly string[])[] {
  if (word === 'dr') return [['doctor']];
  if (word === 'mr') return [['mister']];
  if (word === 'zero') return [['zero'], ['oh']];
  if (word === 'pound') return [['pound'], ['hash']];
  return [[word]];
}

function kindOf(word: string): SlotKind | null {
  if (word !== 'hundred' && slotWords.number.includes(word)) return 'number';
  if (slotWords.weekday.includes(word)) return 'weekday';
  if (slotWords.month.includes(word)) return mayIsAVerb.test(word) || word === 'march' ? null : 'month';
  return (['time', 'direction', 'state'] as const).find((kind) => slotWords[kind].includes(word)) ?? null;
}

/** How a number is said: digit by digit, as a whole, or in pairs as a year is. */
function numberWays(figures: string): readonly (readonly string[])[] {
  const oneByOne = [...figures].map((digit) => digits[Number(digit)] ?? '');
  const ways = [oneByOne, ...(figures.includes('0') ? [oneByOne.map((word) => (word === 'zero' ? 'oh' : word))] : [])];
  if (figures.length > 1 && figures.length <= 4 && !figures.startsWith('0')) ways.push(wholeWords(Number(figures)));
  if (figures.length === 4 && !figures.endsWith('00') && !figures.startsWith('0')) {
    ways.push([...wholeWords(Number(figures.slice(0, 2))), ...pairWords(figures.slice(2))]);
  }
  const known = new Set<string>();
  return ways.filter((way) => known.size < known.add(way.join(' ')).size);
}

function pairWords(pair: string): readonly string[] {
  return pair.startsWith('0') ? ['oh', digits[Number(pair[1])] ?? ''] : wholeWords(Number(pair));
}

function wholeWords(value: number): string[] {
  if (value >= 1000) return [...wholeWords(Math.floor(value / 1000)), 'thousand', ...restWords(value % 1000)];
  if (value >= 100) return [digits[Math.floor(value / 100)] ?? '', 'hundred', ...restWords(value % 100)];
  if (value >= 20) {
    const ten = tens[Math.floor(value / 10) - 2] ?? '';
    return value % 10 === 0 ? [ten] : [ten, digits[value % 10] ?? ''];
  }
  return [value >= 10 ? (teens[value - 10] ?? '') : (digits[value] ?? '')];
}

const restWords = (value: number): string[] => (value === 0 ? [] : wholeWords(value));

const firstOrdinals = 'first second third fourth fifth sixth seventh eighth ninth tenth eleventh twelfth'.split(' ');

function ordinalWords(value: number): readonly string[] {
  const first = firstOrdinals[value - 1];
  if (first) return [first];
  if (value < 20) return [`${teens[value - 10] ?? ''}th`];
  if (value >= 100) return wholeWords(value);
  const ten = tens[Math.floor(value / 10) - 2] ?? '';
  return value % 10 === 0 ? [ten.replace(/y$/, 'ieth')] : [ten, firstOrdinals[(value % 10) - 1] ?? ''];
}
