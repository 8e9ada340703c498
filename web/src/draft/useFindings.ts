import { proof, type Finding } from '@locutor/core/proof';
import { useMemo } from 'react';
import { useBoxes, useGreetings, usePeople } from '../api/resources';
import { useDraft } from './DraftProvider';

/** What the proof finds in the draft as it stands. */
export function useFindings(): readonly Finding[] {
  const { attendant, hours } = useDraft();
  const [people, boxes, greetings] = [usePeople(), useBoxes(), useGreetings()];
  return useMemo(
    () => proof({ attendant, hours, people, boxes, greetings }),
    [attendant, hours, people, boxes, greetings],
  );
}
