import type { BoxId, GroupId, QueueId } from '../directory';
import {
  languageOf,
  readPieces,
  type Key,
  type Language,
  type LivePart,
  type RecordedTake,
  type SheetId,
  type Slot,
  type VoiceId,
} from '../line';
import type { WordsPart } from '../line';
import { goesOn } from './abbreviations';
import { sayPart, type SpokenFacts } from './facts';

/** Where a spoken sentence was written, so that a caption can lead there. */
export type Source =
  | { readonly type: 'words'; readonly sheetId: SheetId; readonly part: WordsPart }
  | { readonly type: 'option'; readonly sheetId: SheetId; readonly key: Key }
  | { readonly type: 'step'; readonly slot: Slot; readonly stepIndex: number }
  | { readonly type: 'box'; readonly boxId: BoxId }
  | { readonly type: 'group'; readonly groupId: GroupId }
  | { readonly type: 'queue'; readonly queueId: QueueId }
  /** Said by the line itself, such as the thanks after a message. */
  | { readonly type: 'line' };

/** One sentence as it is given to a voice, or all of a recording. */
export interface Sentence {
  readonly text: string;
  readonly voice: VoiceId;
  /** Silence after it, in ms. */
  readonly pauseAfterMs: number;
  readonly source: Source;
  /** What is heard in place of the voice. */
  readonly recorded?: Pick<RecordedTake, 'audioId' | 'lengthMs'>;
}

/** A sentence before it has a voice. */
export type PlainSentence = Pick<Sentence, 'text' | 'pauseAfterMs'>;

/** Silences between sentences, in ms: long enough to tell options apart, short enough to keep callers. */
export const pauses = { betweenSentencesMs: 350, betweenOptionsMs: 450, betweenPartsMs: 650 } as const;

const segmenter = new Intl.Segmenter('en', { granularity: 'sentence' });

/**
 * Cuts words into sentences, each trimmed and with its spaces made single; a line break ends one too. The point of an
 * abbreviation ends none, nor that of an ordinal where a language has such.
 */
export function splitSentences(words: string, language: Language): readonly string[] {
  return words
    .split(/\r?\n/)
    .flatMap((row) => sentencesIn(row, language))
    .filter((sentence) => /[\p{L}\p{N}]/u.test(sentence));
}

function sentencesIn(row: string, language: Language): readonly string[] {
  const sentences: string[] = [];
  for (const { segment } of segmenter.segment(row)) {
    const text = segment.replace(/\s+/g, ' ').trim();
    const last = sentences.at(-1);
    if (last !== undefined && goesOn(unmarked(last), unmarked(text), language))
      sentences[sentences.length - 1] = `${last} ${text}`;
    else sentences.push(text);
  }
  return sentences;
}

/** Stands where a live part has nothing to say; of private use in Unicode, so that nobody types it. */
const hole = '\uE000';

/**
 * Stand around what a live part says while sentences are told apart, which they do not disturb: a format character is nothing
 * to the rules for that (UAX #29, SB5).
 */
const [liveBegins, liveEnds] = ['\u2061', '\u2062'];
const marks = /[\u2061\u2062]/g;

function unmarked(text: string): string {
  return text.replace(marks, '');
}

/** A part of a sentence: words that stay, or what a live part says; of a live part that says more than one sentence, one. */
export interface Segment {
  readonly text: string;
  readonly isLive: boolean;
}

export interface CutSentence {
  readonly segments: readonly Segment[];
  readonly pauseAfterMs: number;
}

/**
 * Cuts words into sentences, and these where live parts begin and end. A pause ends a sentence and lasts as long as it says;
 * after the last comes the pause of a part. A sentence of which a live part has nothing to say, such as the name of a
 * special date on an ordinary day, is left out.
 *
 * @param say what a live part says; '' where that is nothing
 */
export function cutSentences(
  words: string,
  language: Language,
  say: (part: LivePart) => string,
): readonly CutSentence[] {
  const sentences: { segments: readonly Segment[]; pauseAfterMs: number }[] = [];
  let text = '';
  const endPart = (pauseMs: number): void => {
    const cut = segmentsOf(splitSentences(text, language));
    const said = cut.filter((segments) => !segments.some((each) => each.text.includes(hole)));
    said.forEach((segments) => sentences.push({ segments, pauseAfterMs: pauses.betweenSentencesMs }));
    const last = sentences.at(-1);
    // Pauses in a row add up; one before all words has nothing to stand after.
    if (last) last.pauseAfterMs = said.length > 0 ? pauseMs : last.pauseAfterMs + pauseMs;
    text = '';
  };
  for (const piece of readPieces(words)) {
    if (piece.type === 'pause') endPart(piece.ms);
    else if (piece.type === 'live') text += liveBegins + (say(piece.part) || holeOf(piece.part)) + liveEnds;
    // "… to five p.m." has its point already.
    else text += unmarked(/\.m\.\u2062?$/.test(text) ? piece.text.replace(/^\./, '') : piece.text);
  }
  endPart(0);
  const last = sentences.at(-1);
  if (last) last.pauseAfterMs = Math.max(last.pauseAfterMs, pauses.betweenPartsMs);
  return sentences;
}

/** Where the options are read out the menu says them. */
function holeOf({ type }: LivePart): string {
  return type === 'options' ? '' : hole;
}

function segmentsOf(sentences: readonly string[]): readonly (readonly Segment[])[] {
  let isLive = false;
  return sentences.map((sentence) =>
    sentence.split(/([\u2061\u2062])/).flatMap((text): readonly Segment[] => {
      if (text === liveBegins || text === liveEnds) isLive = text === liveBegins;
      return text === '' || text === liveBegins || text === liveEnds ? [] : [{ text, isLive }];
    }),
  );
}

/** The sentences of some words, live parts saying what is so by the facts. */
export function plainSentences(words: string, voice: VoiceId, facts: SpokenFacts): readonly PlainSentence[] {
  const language = languageOf(voice);
  return cutSentences(words, language, (part) => sayPart(part, facts, language)).map(({ segments, pauseAfterMs }) => ({
    text: segments.map(({ text }) => text).join(''),
    pauseAfterMs,
  }));
}

export function asSentences(plain: readonly PlainSentence[], voice: VoiceId, source: Source): readonly Sentence[] {
  return plain.map((sentence) => ({ ...sentence, voice, source }));
}

/** A recording as a sentence: all of it is heard at once. */
export function recordedSentence(
  { audioId, lengthMs, text }: RecordedTake,
  voice: VoiceId,
  source: Source,
  pauseAfterMs: number = pauses.betweenPartsMs,
): Sentence {
  return { text, voice, source, pauseAfterMs, recorded: { audioId, lengthMs } };
}
