import type { Sentence } from '../speech';
import type { PlayItem } from './effect';

/** Sentences as something to be played. */
export function asItems(sentences: readonly Sentence[]): readonly PlayItem[] {
  return sentences.map((sentence) => ({ type: 'sentence', sentence }));
}

export const beep: PlayItem = { type: 'beep' };
