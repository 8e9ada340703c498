import { usualOutgoing } from '@locutor/core/directory';
import { dayAt } from '@locutor/core/hours';
import {
  faultsIn,
  openIn,
  proof,
  unansweredIn,
  type Finding,
  type ProofLine,
  type ProofSubject,
} from '@locutor/core/proof';
import { useMemo } from 'react';
import {
  useAccepted,
  useAllHours,
  useDirectory,
  useLeavers,
  useOnAir,
  useServerScript,
  useSettings,
  useUnpressed,
} from '../api/resources';
import { useNow } from '../parts/useNow';
import { useTakes } from '../takes/useTakes';
import { useDraftTools, useLateAttendant } from './DraftProvider';

const none: readonly never[] = [];

/** What the proof finds in the draft as it stands: what loses a caller first. Nothing until all it reads is there. */
export function useFindings(): readonly Finding[] {
  const { hours, line } = useDraftTools();
  const attendant = useLateAttendant();
  const directory = useDirectory();
  const allHours = useAllHours().data;
  const takes = useTakes();
  const leavers = useLeavers();
  const outgoing = useSettings().data?.outgoing ?? usualOutgoing;
  const lines = useProofLines();
  const unpressed = useUnpressed(line.id);
  const today = dayAt(useNow(60_000), line.timeZone);
  return useMemo(
    () =>
      allHours && lines
        ? readOnce({
            attendant,
            line,
            hours,
            allHours,
            today,
            takes,
            leavers,
            outgoing,
            ...directory,
            lines,
            ...(unpressed && { unpressed }),
          })
        : none,
    [attendant, line, today, hours, allHours, takes, leavers, outgoing, directory, lines, unpressed],
  );
}

/** The lines of the business and what is on air on each; undefined while that is not known. */
function useProofLines(): readonly ProofLine[] | undefined {
  const { line } = useDraftTools();
  const { lines } = useDirectory();
  const others = useServerScript(line.id).data?.lines;
  const own = useOnAir(line)?.attendant ?? null;
  return useMemo(
    () =>
      others &&
      lines.map((each): ProofLine => {
        const { id, name, number, serviceFrom, serviceUntil, onAirVersionId } = each;
        const onAir =
          id === line.id ? own : onAirVersionId ? (others.find((other) => other.id === id)?.attendant ?? null) : null;
        return { id, name, number, serviceFrom, serviceUntil, onAir };
      }),
    [lines, others, own, line.id],
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
