import { dayAt } from '@locutor/core/hours';
import { faultsIn, proof, type Finding } from '@locutor/core/proof';
import { useMemo } from 'react';
import { useDirectory } from '../api/resources';
import { useNow } from '../parts/useNow';
import { useDraft } from './DraftProvider';

/** What the proof finds in the draft as it stands: faults first, then what is worth a look. */
export function useFindings(): readonly Finding[] {
  const { attendant, hours, line } = useDraft();
  const directory = useDirectory();
  const { number, timeZone } = line;
  const today = dayAt(useNow(60_000), timeZone);
  return useMemo(
    () => proof({ attendant, number, hours, today, ...directory }),
    [attendant, number, today, hours, directory],
  );
}

/** What stops the draft from going on air. */
export function useFaults(): readonly Finding[] {
  const findings = useFindings();
  return useMemo(() => faultsIn(findings), [findings]);
}
