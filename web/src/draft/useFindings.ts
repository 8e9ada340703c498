import { dayAt } from '@locutor/core/hours';
import { faultsIn, proof, type Finding, type ProofSubject } from '@locutor/core/proof';
import { useMemo } from 'react';
import { useDirectory } from '../api/resources';
import { useNow } from '../parts/useNow';
import { useDraftTools, useLateAttendant } from './DraftProvider';

/** What the proof finds in the draft as it stands: faults first, then what is worth a look. */
export function useFindings(): readonly Finding[] {
  const { hours, line } = useDraftTools();
  const attendant = useLateAttendant();
  const directory = useDirectory();
  const { number, timeZone } = line;
  const today = dayAt(useNow(60_000), timeZone);
  return useMemo(
    () => readOnce({ attendant, number, hours, today, ...directory }),
    [attendant, number, today, hours, directory],
  );
}

let last: { readonly subject: ProofSubject; readonly findings: readonly Finding[] } | null = null;

/** The findings are shown in several places; they are read once. */
function readOnce(subject: ProofSubject): readonly Finding[] {
  const names = Object.keys(subject) as (keyof ProofSubject)[];
  const known = last;
  if (known && names.every((name) => known.subject[name] === subject[name])) return known.findings;
  last = { subject, findings: proof(subject) };
  return last.findings;
}

/** What stops the draft from going on air. */
export function useFaults(): readonly Finding[] {
  const findings = useFindings();
  return useMemo(() => faultsIn(findings), [findings]);
}
