import { plainText } from '../text';
import type { TakeSays, TakeUse } from './take';
import type { Language } from './voice';

/**
 * A recording of a text that is neither a sheet's own nor a greeting of the library: it belongs to its words, wherever they
 * are said in that language. It is heard as long as they are these very words, and their live parts say what they did.
 */
export interface TextRecording {
  readonly language: Language;
  /** As typed, with live parts in braces. */
  readonly words: string;
  readonly take: TakeUse;
  /** What its live parts were when it was made. */
  readonly live: TakeSays['live'];
}

/** What tells texts apart for recordings: spaces do not, nor does their form. */
export function textKey(language: Language, words: string): string {
  return `${language} ${plainText(words).replace(/\s+/g, ' ').trim()}`;
}

/** The place of the recordings of a text: its language, and 64 bits of a hash of its words (FNV-1a). */
export function placeOfText(language: Language, words: string): string {
  return `text:${language}:${fnv1a(textKey(language, words))}`;
}

/** What the place of a text looks like. */
export const textPlacePattern = /^text:[a-z]{2}:[0-9a-f]{16}$/;

const mask = 0xffffffffffffffffn;

function fnv1a(text: string): string {
  let hash = 0xcbf29ce484222325n;
  for (const byte of new TextEncoder().encode(text)) hash = ((hash ^ BigInt(byte)) * 0x100000001b3n) & mask;
  return hash.toString(16).padStart(16, '0');
}
