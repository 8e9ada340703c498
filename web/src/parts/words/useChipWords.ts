import { languageOf, type VoiceId } from '@locutor/core/line';
import { sayPart } from '@locutor/core/speech';
import { useMemo } from 'react';
import { useDraftTools } from '../../draft/DraftProvider';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import type { ChipWords } from './chips';

/** How chips are called and what they say now, in the language of a voice. */
export function useChipWords(voice: VoiceId): ChipWords {
  const facts = useSpokenFacts();
  const { names } = useDraftTools();
  return useMemo(
    () => ({
      labelOf: (piece) => {
        if (piece.type === 'pause') return `pause ${piece.ms / 1000} s`;
        const { part } = piece;
        switch (part.type) {
          case 'options':
            return 'the options';
          case 'business':
            return 'business’s name';
          case 'today':
            return 'today’s hours';
          case 'week':
            return 'the week’s hours';
          case 'opens':
            return 'next opening';
          case 'special':
            return 'special date’s name';
          case 'name':
            return `name of ${names[part.personId] ?? 'somebody deleted'}`;
          case 'extension':
            return `extension of ${names[part.personId] ?? 'somebody deleted'}`;
        }
      },
      sayOf: (piece) => {
        if (piece.type === 'pause' || piece.part.type === 'options') return '';
        return sayPart(piece.part, facts, languageOf(voice)) || null;
      },
    }),
    [facts, names, voice],
  );
}
