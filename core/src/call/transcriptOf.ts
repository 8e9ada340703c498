import type { CallEffect } from './effect';
import type { TranscriptEntry } from './transcript';

/** The lines of the transcript that the effects of one step make: what is said, and what is noted. */
export function transcriptOf(effects: readonly CallEffect[], atMs: number): readonly TranscriptEntry[] {
  return effects.flatMap((effect): readonly TranscriptEntry[] => {
    if (effect.type === 'note') return [effect.entry];
    if (effect.type !== 'play') return [];
    return effect.items.flatMap((item): TranscriptEntry[] =>
      item.type === 'sentence' ? [{ type: 'said', atMs, text: item.sentence.text, source: item.sentence.source }] : [],
    );
  });
}
