import type { Sentence } from './sentence';

/** When a sentence begins and ends, in ms since the first one began; the pause after it is not counted in. */
export interface SentenceTiming {
  readonly startMs: number;
  readonly endMs: number;
}

/** The timing of every sentence from the lengths of their audio, in ms, one each. */
export function timeSentences(sentences: readonly Sentence[], lengthsMs: readonly number[]): readonly SentenceTiming[] {
  let at = 0;
  return sentences.map((sentence, index) => {
    const startMs = at;
    const endMs = startMs + (lengthsMs[index] ?? expectedMs(sentence));
    at = endMs + sentence.pauseAfterMs;
    return { startMs, endMs };
  });
}

/** How long a sentence takes, in ms: as long as its recording, or about as long as a voice needs. */
export function expectedMs({ text, recorded }: Pick<Sentence, 'text' | 'recorded'>): number {
  return recorded?.lengthMs ?? estimateMs(text);
}

/** How long all of it takes, in ms, pauses between sentences included and the one after the last left out. */
export function totalMs(timings: readonly SentenceTiming[]): number {
  return timings.at(-1)?.endMs ?? 0;
}

/** A shipped voice speaks about 15 letters a second and takes a moment to begin. */
const msPerLetter = 66;
const startUpMs = 150;

/** About how long a text takes to say, in ms, before it has been spoken. */
export function estimateMs(text: string): number {
  const digits = text.match(/\d/g)?.length ?? 0;
  return text.length === 0 ? 0 : Math.round(startUpMs + (text.length + 3 * digits) * msPerLetter);
}

/** About how long sentences take with their pauses, in ms. */
export function estimateSentencesMs(sentences: readonly Sentence[]): number {
  return totalMs(timeSentences(sentences, []));
}
