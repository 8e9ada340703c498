import type { Key, Menu } from '../line';
import { languageOf, type VoiceId } from '../line';
import { optionsSaid } from './menuSentences';
import { phrasesOf } from './phrases';

/** What could be better in what a menu says; advice only. */
export type Advice =
  /** Longer than most callers listen. */
  | { readonly type: 'long'; readonly ms: number }
  | { readonly type: 'manyOptions'; readonly count: number }
  /** Words name the key before what it is for, so that callers have forgotten it when they know they want it. */
  | { readonly type: 'keyBeforeOption'; readonly words: string }
  /** Words name a key although the options are made from the keys: they would not follow a change. */
  | { readonly type: 'keyInWords'; readonly key: Key; readonly words: string };

/** Callers listen for about so long before they press something or hang up, in ms. */
export const comfortableMs = 20_000;
export const comfortableOptions = 5;

/** Advice on what a menu says, `ms` being how long it takes. */
export function adviceOnMenu(menu: Menu, attendantVoice: VoiceId, ms: number): readonly Advice[] {
  const voice = menu.voice ?? attendantVoice;
  const count = optionsSaid(menu).length;
  return [
    ...adviceOnLength(ms),
    ...(count > comfortableOptions ? [{ type: 'manyOptions', count } as const] : []),
    ...adviceOnWords([menu.openingWords, menu.closingWords].join('\n'), voice),
    ...menu.options.flatMap(({ label }) => keyFirstIn(label, voice)),
  ];
}

export function adviceOnLength(ms: number): readonly Advice[] {
  return ms > comfortableMs ? [{ type: 'long', ms }] : [];
}

/** Advice on free words: keys named in them. */
export function adviceOnWords(words: string, voice: VoiceId): readonly Advice[] {
  const first = keyFirstIn(words, voice);
  if (first.length > 0) return first;
  const named = phrasesOf(voice).keyInWords.exec(words);
  const key = named && keyNamed(named[1] ?? '', voice);
  return key ? [{ type: 'keyInWords', key, words: named[0] }] : [];
}

function keyFirstIn(words: string, voice: VoiceId): readonly Advice[] {
  const found = phrasesOf(voice).keyBeforeOption.exec(words);
  return found ? [{ type: 'keyBeforeOption', words: found[0] }] : [];
}

function keyNamed(word: string, voice: VoiceId): Key | undefined {
  const plain = word.toLowerCase();
  if (/^[0-9*#]$/.test(plain)) return plain as Key;
  const at = digitNames[languageOf(voice)].indexOf(plain);
  return at >= 0 ? (String(at) as Key) : undefined;
}

const digitNames = {
  en: 'zero one two three four five six seven eight nine'.split(' '),
  fr: 'zéro un deux trois quatre cinq six sept huit neuf'.split(' '),
  es: 'cero uno dos tres cuatro cinco seis siete ocho nueve'.split(' '),
  de: 'null eins zwei drei vier fünf sechs sieben acht neun'.split(' '),
} as const;
