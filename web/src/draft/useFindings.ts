import { faultsIn, openIn, unansweredIn, type Finding } from '@locutor/core/proof';
import { useMemo, useSyncExternalStore } from 'react';
import { useAccepted } from '../api/resources';
import { ProofReader, type ProofOf } from '../workers/proofReader';
import { useDraftTools } from './DraftProvider';

/** What the proof finds in the draft as it stands: what loses a caller first. Nothing until all it reads is there. */
export function useFindings(): readonly Finding[] {
  return useFound('draft');
}

function useFound(of: ProofOf): readonly Finding[] {
  return useSyncExternalStore(reader.subscribe, () => reader.findings(of));
}

/**
 * What the same reading finds in what callers hear now, with the directory, the hours and the switch as they are: faults, and
 * cautions that nobody has said yes to.
 */
export function useAirFindings(): readonly Finding[] {
  const { line } = useDraftTools();
  const accepted = useAccepted(line.id);
  const findings = useFound('air');
  return useMemo(() => openIn(findings, accepted).filter(({ grade }) => grade !== 'tip'), [findings, accepted]);
}

/** What the proof reads in this window, and what it found. */
export const reader = new ProofReader(
  typeof Worker === 'undefined'
    ? null
    : () => new Worker(new URL('../workers/proof.worker.ts', import.meta.url), { type: 'module' }),
);

/** What stops the draft from going on air. */
export function useFaults(): readonly Finding[] {
  const findings = useFindings();
  return useMemo(() => faultsIn(findings), [findings]);
}

/** Cautions that nobody has said yes to. */
export function useUnanswered(): readonly Finding[] {
  const { line } = useDraftTools();
  const findings = useFindings();
  const accepted = useAccepted(line.id);
  return useMemo(() => unansweredIn(findings, accepted), [findings, accepted]);
}

/** What is still to be looked at: cautions with a yes and silenced tips left out. */
export function useOpenFindings(): readonly Finding[] {
  const { line } = useDraftTools();
  const findings = useFindings();
  const accepted = useAccepted(line.id);
  return useMemo(() => openIn(findings, accepted), [findings, accepted]);
}
