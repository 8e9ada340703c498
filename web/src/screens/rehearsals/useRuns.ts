import { brokenKey, isBroken, type Rehearsed } from '@locutor/core/rehearsals';
import { createContext, useContext, useMemo } from 'react';
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

export const RunsContext = createContext<Runs>({ all: [], isLoading: true });

/** All rehearsals of the line, with how each goes on the draft now. */
export const useRuns = (): Runs => useContext(RunsContext);

/** Runs them in a worker a moment after every edit; once for all who show them. */
export function useRunning(): Runs {
  const { line } = useDraftTools();
  const { data: rehearsals = none, isLoading } = useRehearsals(line.id);
  const attendant = useLateAttendant();
  const { make, isLoading: isScriptLoading } = useCallScript();
  const asked = useMemo(
    () =>
      isScriptLoading || rehearsals.length === 0 ? undefined : { script: make(attendant, nothingKept), rehearsals },
    [make, isScriptLoading, attendant, rehearsals],
  );
  const runs = useWorker<RehearsalsAsked, readonly Rehearsed[]>(rehearsalsWorker, asked);
  return useMemo(() => {
    const byId = new Map(runs?.map((run) => [run.id, run]));
    return { all: rehearsals.map((rehearsal) => ({ rehearsal, run: byId.get(rehearsal.id) })), isLoading };
  }, [rehearsals, runs, isLoading]);
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
