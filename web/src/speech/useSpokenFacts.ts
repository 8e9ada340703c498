import { clipIn, recordingsOf } from '@locutor/core/call';
import { saidHours, type RecordedTake, type TakeId } from '@locutor/core/line';
import { englishClockOf, type SpokenFacts } from '@locutor/core/speech';
import { useMemo } from 'react';
import { useAllHours, usePeople, useTextRecordings } from '../api/resources';
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
  const recordings = useTextRecordings();
  const atMs = Math.floor(useNow(everyMs) / everyMs) * everyMs;
  // What is said of the hours depends on what answers when.
  useAttendantPart((attendant) => attendant.answering);
  const { present } = store.getSnapshot().history;
  const hours = saidHours({ hours: regular, timeZone: line.timeZone, switched }, present);
  return useMemo(() => {
    const takeOf = (id: TakeId): RecordedTake | undefined => takes.find((take) => take.id === id);
    const ofTexts = recordingsOf(recordings);
    return {
      business: line.name,
      atMs,
      zone: line.timeZone,
      clock: englishClockOf(line),
      hours,
      hoursOf: (id) => (id === hours.id ? hours : allHours?.find((each) => each.id === id)),
      personOf: (id) => people.find((person) => person.id === id),
      takeOf,
      clipOf: (language, words) => clipIn(ofTexts, takeOf, language, words),
    };
  }, [line, hours, people, allHours, takes, recordings, atMs]);
}
