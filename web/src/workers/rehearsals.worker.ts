import type { CallScript } from '@locutor/core/call';
import { rehearse, type Rehearsal, type Rehearsed } from '@locutor/core/rehearsals';

export interface RehearsalsAsked {
  readonly script: CallScript;
  readonly rehearsals: readonly Rehearsal[];
}

/** Runs rehearsals on a script. */
self.onmessage = ({ data: { script, rehearsals } }: MessageEvent<RehearsalsAsked>): void => {
  const runs: readonly Rehearsed[] = rehearsals.map((rehearsal) => rehearse(script, rehearsal));
  self.postMessage(runs);
};
