import type { ReactNode } from 'react';
import { RunsContext, useRunning } from './useRuns';

/** Keeps the rehearsals running after every edit, for all screens inside. */
export function RunsProvider({ children }: { readonly children: ReactNode }) {
  return <RunsContext value={useRunning()}>{children}</RunsContext>;
}
