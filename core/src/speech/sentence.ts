import type { BoxId, QueueId } from '../directory';
import type { Key, SheetId, Slot, VoiceId, WordsPart } from '../line';

/** Where a spoken sentence was written, so that a caption can lead there. */
export type Source =
  | { readonly type: 'words'; readonly sheetId: SheetId; readonly part: WordsPart }
  | { readonly type: 'option'; readonly sheetId: SheetId; readonly key: Key }
  | { readonly type: 'step'; readonly slot: Slot; readonly stepIndex: number }
  | { readonly type: 'box'; readonly boxId: BoxId }
  | { readonly type: 'queue'; readonly queueId: QueueId }
  /** Said by the line itself, such as the thanks after a message. */
  | { readonly type: 'line' };

/** One sentence as it is given to a voice. */
export interface Sentence {
  readonly text: string;
  readonly voice: VoiceId;
  /** Silence after it, in ms. */
  readonly pauseAfterMs: number;
  readonly source: Source;
}

/** Silences between sentences, in ms: long enough to tell options apart, short enough to keep callers. */
export const pauses = { betweenSentencesMs: 350, betweenOptionsMs: 450, betweenPartsMs: 650 } as const;

const segmenter = new Intl.Segmenter('en', { granularity: 'sentence' });

/** Cuts words into sentences, each trimmed and with its spaces made single; a line break ends one too. */
export function splitSentences(words: string): readonly string[] {
  return words
    .split(/\r?\n/)
    .flatMap((row) => [...segmenter.segment(row)].map(({ segment }) => segment.replace(/\s+/g, ' ').trim()))
    .filter((sentence) => /[\p{L}\p{N}]/u.test(sentence));
}

/** The sentences of some words, with the pause of a part after the last. */
export function sentencesOf(words: string, voice: VoiceId, source: Source): readonly Sentence[] {
  return asSentences(splitSentences(words), voice, source);
}

/** Texts already cut, as sentences. */
export function asSentences(texts: readonly string[], voice: VoiceId, source: Source): readonly Sentence[] {
  return texts.map((text, index) => ({
    text,
    voice,
    source,
    pauseAfterMs: index === texts.length - 1 ? pauses.betweenPartsMs : pauses.betweenSentencesMs,
  }));
}
