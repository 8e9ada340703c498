import type { CallScript } from '@locutor/core/call';
import type { Attendant, Greeting } from '@locutor/core/line';
import { useCallback } from 'react';
import { useAllHours, useDirectory, useServerScript } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';

export interface CallScriptMaker {
  readonly make: (attendant: Attendant, spoken: readonly Greeting[]) => CallScript;
  /** While the other lines have not come yet, to which this one may hand over. */
  readonly isLoading: boolean;
}

/**
 * Makes what a call to this line goes by: the attendant given, with the directory as it is here and now. The function
 * stays the same until something in it changes.
 */
export function useCallScript(): CallScriptMaker {
  const { line, hours } = useDraftTools();
  const directory = useDirectory();
  const allHours = useAllHours().data;
  const { data: server, isLoading } = useServerScript(line.id);
  const lines = server?.lines;
  const make = useCallback<CallScriptMaker['make']>(
    (attendant, spoken) => {
      const { people, groups, queues, boxes, contacts, callerLists, greetings } = directory;
      const others = (lines ?? []).filter(({ id }) => id !== line.id);
      return {
        lineId: line.id,
        lines: [{ id: line.id, number: line.number, timeZone: line.timeZone, hours, attendant }, ...others],
        people,
        groups,
        queues,
        boxes,
        contacts,
        callerLists,
        greetings: [...greetings, ...spoken],
        hours: allHours ?? [],
      };
    },
    [line, hours, directory, allHours, lines],
  );
  return { make, isLoading };
}
