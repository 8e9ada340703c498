import { hoursWithSwitch } from '@locutor/core/hours';
import type { SpokenFacts } from '@locutor/core/speech';
import { useMemo } from 'react';
import { useAllHours, usePeople } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';
import { useNow } from '../parts/useNow';
import { useTakes } from '../takes/useTakes';

const everyMs = 60_000;

/** What live parts say now, on the line that is being edited. */
export function useSpokenFacts(): SpokenFacts {
  const { line, hours: regular, switched } = useDraftTools();
  const people = usePeople();
  const allHours = useAllHours().data;
  const takes = useTakes();
  const atMs = Math.floor(useNow(everyMs) / everyMs) * everyMs;
  const hours = hoursWithSwitch(regular, line.timeZone, switched);
  return useMemo(
    () => ({
      business: line.name,
      atMs,
      zone: line.timeZone,
      hours,
      hoursOf: (id) => (id === hours.id ? hours : allHours?.find((each) => each.id === id)),
      personOf: (id) => people.find((person) => person.id === id),
      takeOf: (id) => takes.find((take) => take.id === id),
    }),
    [line, hours, people, allHours, takes, atMs],
  );
}
