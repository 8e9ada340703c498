import { expectedMs, type Sentence } from '../speech';
import type { PlayItem } from './effect';

/** Sentences as something to be played. */
export function asItems(sentences: readonly Sentence[]): readonly PlayItem[] {
  return sentences.map((sentence) => ({ type: 'sentence', sentence }));
}

const beepMs = 400;

/** How long something is heard, with the pause after it; sentences are estimated unless their length is known. */
export function itemMs(item: PlayItem, sentenceMs: (sentence: Sentence) => number = expectedMs): number {
  switch (item.type) {
    case 'beep':
      return beepMs;
    case 'music':
    case 'audio':
      return item.ms;
    case 'sentence':
      return sentenceMs(item.sentence) + item.sentence.pauseAfterMs;
  }
}

export const beep: PlayItem = { type: 'beep' };
