import { isBroken, type Rehearsed } from '@locutor/core/rehearsals';
import { useMemo } from 'react';
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

/** All rehearsals of the line, run on the draft in a worker a moment after every edit. */
export function useRuns(): { readonly all: readonly RunRehearsal[]; readonly isLoading: boolean } {
  const { line } = useDraftTools();
  const { data: rehearsals = none, isLoading } = useRehearsals(line.id);
  const attendant = useLateAttendant();
  const script = useCallScript();
  const asked = useMemo(
    () =>
      script.isLoading || rehearsals.length === 0
        ? undefined
        : { script: script.make(attendant, nothingKept), rehearsals },
    [script, attendant, rehearsals],
  );
  const runs = useWorker<RehearsalsAsked, readonly Rehearsed[]>(rehearsalsWorker, asked);
  const all = useMemo(() => {
    const byId = new Map(runs?.map((run) => [run.id, run]));
    return rehearsals.map((rehearsal) => ({ rehearsal, run: byId.get(rehearsal.id) }));
  }, [rehearsals, runs]);
  return { all, isLoading };
}

/** Under which somebody can say yes to a broken rehearsal: the same one, failing in the same things. */
export function brokenKey({ id, failed }: Rehearsed): string {
  return `rehearsal | ${id} | ${failed.join(',')}`;
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
