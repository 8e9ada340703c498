import { usualOutgoing } from '@locutor/core/directory';
import type { CallScript } from '@locutor/core/call';
import { usualHoldMusic, type Attendant } from '@locutor/core/line';
import { useCallback } from 'react';
import {
  useAllHours,
  useDirectory,
  useServerScript,
  useSettings,
  useTextRecordings,
  type WholeVersion,
} from '../api/resources';
import { useTakes } from '../takes/useTakes';
import { useDraftTools } from '../draft/DraftProvider';

/** Greetings and recordings as they were when a version was put on air; with the directory, all as it was then. */
type Kept = Pick<WholeVersion, 'greetings' | 'takes'> & Partial<Pick<WholeVersion, 'directory'>>;
export const nothingKept: Kept = { greetings: [], takes: [] };

export interface CallScriptMaker {
  readonly make: (attendant: Attendant, kept: Kept) => CallScript;
  /** While the other lines have not come yet, to which this one may hand over. */
  readonly isLoading: boolean;
}

/**
 * Makes what a call to this line goes by: the attendant given, with the directory as it is here and now. The function
 * stays the same until something in it changes.
 */
export function useCallScript(): CallScriptMaker {
  const { line, hours, switched } = useDraftTools();
  const directory = useDirectory();
  const allHours = useAllHours().data;
  const takes = useTakes();
  const recordings = useTextRecordings();
  const settings = useSettings().data;
  const holdMusic = settings?.holdMusic ?? usualHoldMusic;
  const outgoing = settings?.outgoing ?? usualOutgoing;
  const { data: server, isLoading } = useServerScript(line.id);
  const lines = server?.lines;
  const make = useCallback<CallScriptMaker['make']>(
    (attendant, kept) => {
      const { people, groups, queues, boxes, contacts, callerLists, greetings } = directory;
      const then = kept.directory;
      const others = (lines ?? []).filter(({ id }) => id !== line.id);
      return {
        lineId: line.id,
        lines: [
          {
            id: line.id,
            name: line.name,
            number: line.number,
            timeZone: line.timeZone,
            operatorId: line.operatorId,
            hours: then?.lineHours ?? hours,
            attendant,
            switched: then ? null : switched,
          },
          ...others,
        ],
        people,
        groups,
        queues,
        boxes,
        contacts,
        callerLists,
        greetings: then ? kept.greetings : [...greetings, ...kept.greetings],
        takes: [...takes, ...kept.takes],
        recordings,
        holdMusic,
        outgoing,
        hours: allHours ?? [],
        ...(then && directoryOf(then)),
      };
    },
    [line, hours, switched, directory, allHours, lines, takes, recordings, holdMusic, outgoing],
  );
  return { make, isLoading };
}

/** Without what only the version itself needs. */
function directoryOf({
  people,
  groups,
  queues,
  boxes,
  contacts,
  callerLists,
  hours,
  holdMusic,
  recordings,
}: NonNullable<WholeVersion['directory']>): Partial<CallScript> {
  const rows = { people, groups, queues, boxes, contacts, callerLists, hours, holdMusic };
  return { ...rows, ...(recordings && { recordings }) };
}
