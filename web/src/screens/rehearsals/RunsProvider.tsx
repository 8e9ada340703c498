import type { ReactNode } from 'react';
import { RunsContext, useRunning } from './useRuns';

/** Runs the rehearsals after every edit, for whichever screens inside show them. */
export function RunsProvider({ children }: { readonly children: ReactNode }) {
  return <RunsContext value={useRunning()}>{children}</RunsContext>;
}
