import { brokenKey, isBroken, type Rehearsed } from '@locutor/core/rehearsals';
import { createContext, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { useAccepted, useRehearsals, type KeptRehearsal } from '../../api/resources';
import { useDraftTools, useLateAttendant } from '../../draft/DraftProvider';
import { nothingKept, useCallScript } from '../../handset/useCallScript';
import { rehearsalsWorker, useWorker } from '../../workers/useWorker';
import type { RehearsalsAsked } from '../../workers/rehearsals.worker';

/** A rehearsal with how it goes now; undefined while it is being run. */
export interface RunRehearsal {
  readonly rehearsal: KeptRehearsal;
  readonly run: Rehearsed | undefined;
}

const none: readonly KeptRehearsal[] = [];

interface Runs {
  readonly all: readonly RunRehearsal[];
  readonly isLoading: boolean;
}

/** What runs them, and how to say that somebody shows them; gives back how to say that they do no longer. */
interface Runner extends Runs {
  readonly want: () => () => void;
}

const nothing: Runner = { all: [], isLoading: true, want: () => () => undefined };
export const RunsContext = createContext<Runner>(nothing);

/** All rehearsals of the line, with how each goes on the draft now. */
export function useRuns(): Runs {
  const { want, ...runs } = useContext(RunsContext);
  useEffect(want, [want]);
  return runs;
}

/** Runs them in a worker a moment after every edit, while anybody shows them; once for all who do. */
export function useRunning(): Runner {
  const { line } = useDraftTools();
  const [watchers, setWatchers] = useState(0);
  const want = useCallback(() => {
    setWatchers((count) => count + 1);
    return () => setWatchers((count) => count - 1);
  }, []);
  const isWanted = watchers > 0;
  const { data: rehearsals, isLoading } = useRehearsals(isWanted ? line.id : null);
  const attendant = useLateAttendant();
  const { make, isLoading: isScriptLoading } = useCallScript();
  const asked = useMemo(
    () => (isScriptLoading || !rehearsals?.length ? undefined : { script: make(attendant, nothingKept), rehearsals }),
    [make, isScriptLoading, attendant, rehearsals],
  );
  const runs = useWorker<RehearsalsAsked, readonly Rehearsed[]>(rehearsalsWorker, asked);
  return useMemo(() => {
    const byId = new Map(runs?.map((run) => [run.id, run]));
    const all = (rehearsals ?? none).map((rehearsal) => ({ rehearsal, run: byId.get(rehearsal.id) }));
    return { all, isLoading: isLoading || !isWanted, want };
  }, [rehearsals, runs, isLoading, isWanted, want]);
}

/** The rehearsals that do not go as they should, with a yes or without. */
export function useBroken(): readonly (Required<RunRehearsal> & { readonly hasYes: boolean })[] {
  const { line } = useDraftTools();
  const { all } = useRuns();
  const accepted = useAccepted(line.id);
  return useMemo(
    () =>
      all.flatMap(({ rehearsal, run }) => {
        if (!run || !isBroken(run)) return [];
        return [{ rehearsal, run, hasYes: accepted.some(({ key }) => key === brokenKey(run)) }];
      }),
    [all, accepted],
  );
}
