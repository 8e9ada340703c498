import { saidHours } from '@locutor/core/line';
import { englishClockOf, type SpokenFacts } from '@locutor/core/speech';
import { useMemo } from 'react';
import { useAllHours, usePeople } from '../api/resources';
import { useAttendantPart, useDraftTools } from '../draft/DraftProvider';
import { useNow } from '../parts/useNow';
import { useTakes } from '../takes/useTakes';

const everyMs = 60_000;

/** What live parts say now, on the line that is being edited. */
export function useSpokenFacts(): SpokenFacts {
  const { line, hours: regular, switched, store } = useDraftTools();
  const people = usePeople();
  const allHours = useAllHours().data;
  const takes = useTakes();
  const atMs = Math.floor(useNow(everyMs) / everyMs) * everyMs;
  // What is said of the hours depends on what answers when.
  useAttendantPart((attendant) => attendant.answering);
  const { present } = store.getSnapshot().history;
  const hours = saidHours({ hours: regular, timeZone: line.timeZone, switched }, present);
  return useMemo(
    () => ({
      business: line.name,
      atMs,
      zone: line.timeZone,
      clock: englishClockOf(line),
      hours,
      hoursOf: (id) => (id === hours.id ? hours : allHours?.find((each) => each.id === id)),
      personOf: (id) => people.find((person) => person.id === id),
      takeOf: (id) => takes.find((take) => take.id === id),
    }),
    [line, hours, people, allHours, takes, atMs],
  );
}
