import { differences, greetingsUsed, type Difference } from '@locutor/core/line';
import { isSame } from '@locutor/core/merging';
import { useMemo } from 'react';
import { useGreetings, useOnAir } from '../api/resources';
import { useDraftTools, useLateAttendant } from './DraftProvider';

/** How the draft differs from what is on air; `first` when nothing is, `same` when nothing differs. */
export function useAirDifferences(): 'first' | 'same' | readonly (Difference | { readonly type: 'greetings' })[] {
  const { line } = useDraftTools();
  const attendant = useLateAttendant();
  const onAir = useOnAir(line);
  const greetings = useGreetings();
  return useMemo(() => {
    if (!line.onAirVersionId) return 'first';
    if (!onAir) return 'same';
    const used = greetingsUsed(attendant);
    const drafted = greetings.filter(({ id }) => used.has(id));
    const changedGreetings = drafted.some(({ id, words, voice }) => {
      const then = onAir.greetings.find((greeting) => greeting.id === id);
      return then !== undefined && !isSame([then.words, then.voice], [words, voice]);
    });
    const found = differences(onAir.attendant, attendant);
    const all = changedGreetings ? [...found, { type: 'greetings' as const }] : found;
    return all.length === 0 ? 'same' : all;
  }, [line.onAirVersionId, onAir, attendant, greetings]);
}
