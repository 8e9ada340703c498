import type { Key } from '../line';

/** What a recording of a menu may say: its options, and whole sentences besides. */
export interface Listened {
  readonly options: readonly { readonly key: Key; readonly label: string }[];
  readonly sentences: readonly string[];
}

/** A small grammar for a speech recogniser (JSGF 1.0), and every word in it. */
export interface Grammar {
  readonly jsgf: string;
  readonly words: readonly string[];
}

/** How keys are said in English. */
const saidKeys: Readonly<Record<Key, readonly string[]>> = {
  '0': ['zero', 'oh'],
  '1': ['one'],
  '2': ['two'],
  '3': ['three'],
  '4': ['four'],
  '5': ['five'],
  '6': ['six'],
  '7': ['seven'],
  '8': ['eight'],
  '9': ['nine'],
  '*': ['star'],
  '#': ['pound', 'hash'],
};
const keyOfWord = new Map(
  Object.entries(saidKeys).flatMap(([key, words]) => words.map((word) => [word, key as Key] as const)),
);

/**
 * What an English recording of this menu may say: each option with any key, in any order, and the sentences. Any key
 * may follow any option, so that a wrong one is heard as it was said.
 */
export function grammarOf({ options, sentences }: Listened): Grammar {
  const labels = options.map(({ label }) => wordsOf(label).join(' ')).filter((label) => label !== '');
  const said = sentences.map((sentence) => wordsOf(sentence).join(' ')).filter((sentence) => sentence !== '');
  const option = labels.length > 0 ? ['<option>'] : [];
  const rules = [
    `<key> = ${[...keyOfWord.keys()].join(' | ')};`,
    ...(labels.length > 0 ? [`<option> = [ for | to ] ( ${labels.join(' | ')} ) press <key>;`] : []),
    `public <heard> = ( ${[...option, ...said, 'press <key>'].join(' | ')} )+;`,
  ];
  const jsgf = `#JSGF V1.0;\ngrammar menu;\n${rules.join('\n')}\n`;
  const words = new Set([
    ...keyOfWord.keys(),
    'for',
    'to',
    'press',
    ...[...labels, ...said].flatMap((each) => each.split(' ')),
  ]);
  return { jsgf, words: [...words] };
}

/** Which options a recogniser heard, and with which keys, from its lines of plain words. */
export function heardOptions(lines: readonly string[], { options }: Listened): ReadonlyMap<string, Key> {
  const heard = new Map<string, Key>();
  const text = ` ${lines.join(' ')} `;
  for (const { label } of options) {
    const said = wordsOf(label).join(' ');
    if (said === '') continue;
    const found = new RegExp(` ${said} press (\\w+) `).exec(text);
    const key = found && keyOfWord.get(found[1] ?? '');
    if (key) heard.set(label, key);
  }
  return heard;
}

/** What listening tells of one option. It is sure where the recording was heard the same every time. */
export type HeardOption =
  | { readonly type: 'right'; readonly key: Key; readonly label: string; readonly isSure: boolean }
  | {
      readonly type: 'wrongKey';
      readonly key: Key;
      readonly label: string;
      readonly heard: Key;
      readonly isSure: boolean;
    }
  | { readonly type: 'notHeard'; readonly key: Key; readonly label: string };

/** Compares what was heard, listening several times, with the keys as they are. The first time counts; the others tell doubt. */
export function compareHeard(
  times: readonly ReadonlyMap<string, Key>[],
  { options }: Listened,
): readonly HeardOption[] {
  const [first = new Map<string, Key>(), ...others] = times;
  return options
    .filter(({ label }) => wordsOf(label).length > 0)
    .map(({ key, label }): HeardOption => {
      const heard = first.get(label);
      if (heard === undefined) return { type: 'notHeard', key, label };
      const isSure = others.every((time) => time.get(label) === heard);
      return heard === key ? { type: 'right', key, label, isSure } : { type: 'wrongKey', key, label, heard, isSure };
    });
}

const numbers = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

/** The words of a text as a recogniser knows them: small letters, no marks, digits one by one. */
function wordsOf(text: string): readonly string[] {
  return text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/^(?:for|to)\s+/, '')
    .replace(/[’]/g, "'")
    .replace(/\d/g, (digit) => ` ${numbers[Number(digit)] ?? ''} `)
    .replace(/&/g, ' and ')
    .replace(/[^a-z']+/g, ' ')
    .split(' ')
    .map((word) => word.replace(/^'+|'+$/g, ''))
    .filter((word) => word !== '');
}

/** What was heard as it would be written: a sentence a line, keys as digits. */
export function writtenFrom(lines: readonly string[]): string {
  return lines
    .map((line) => {
      const withKeys = line.replace(/\bpress (\w+)/g, (said, word: string) => {
        const key = keyOfWord.get(word);
        return key && /\d/.test(key) ? `press ${key}` : said;
      });
      return `${withKeys.charAt(0).toUpperCase()}${withKeys.slice(1)}.`;
    })
    .join(' ');
}
