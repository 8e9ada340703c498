import type { CallScript } from '@locutor/core/call';
import type { Attendant, Greeting } from '@locutor/core/line';
import { useAllHours, useDirectory, useServerScript } from '../api/resources';
import { useDraft } from '../draft/DraftProvider';

/** Makes what a call to this line goes by: the attendant given, with the directory as it is here and now. */
export function useCallScript(): (attendant: Attendant, spoken: readonly Greeting[]) => CallScript {
  const { line, hours } = useDraft();
  const { people, boxes, contacts, callerLists, greetings } = useDirectory();
  const allHours = useAllHours().data ?? [];
  const others = (useServerScript(line.id).data?.lines ?? []).filter(({ id }) => id !== line.id);
  return (attendant, spoken) => ({
    lineId: line.id,
    lines: [{ id: line.id, number: line.number, timeZone: line.timeZone, hours, attendant }, ...others],
    people,
    boxes,
    contacts,
    callerLists,
    greetings: [...greetings, ...spoken],
    hours: allHours,
  });
}
