import { usualOutgoing } from '@locutor/core/directory';
import { dayAt } from '@locutor/core/hours';
import {
  aloneLimits,
  faultsIn,
  openIn,
  unansweredIn,
  type Finding,
  type ProofLine,
  type ProofSubject,
} from '@locutor/core/proof';
import type { Attendant } from '@locutor/core/line';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
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
import { ProofReader, type ProofOf } from '../workers/proofReader';
import { useDraftTools, useLateAttendant } from './DraftProvider';

const none: readonly never[] = [];

/** What the proof finds in the draft as it stands: what loses a caller first. Nothing until all it reads is there. */
export function useFindings(): readonly Finding[] {
  const attendant = useLateAttendant();
  const takes = useTakes();
  const { greetings } = useDirectory();
  return useReading('draft', attendant, greetings, takes);
}

/**
 * What the same reading finds in what callers hear now, with the directory, the hours and the switch as they are: faults, and
 * cautions that nobody has said yes to.
 */
export function useAirFindings(): readonly Finding[] {
  const { line } = useDraftTools();
  const onAir = useOnAir(line);
  const takes = useTakes();
  const accepted = useAccepted(line.id);
  const findings = useReading('air', onAir?.attendant, onAir?.greetings ?? none, takes);
  return useMemo(() => openIn(findings, accepted).filter(({ grade }) => grade !== 'tip'), [findings, accepted]);
}

function useReading(
  of: ProofOf,
  attendant: Attendant | undefined,
  greetings: ProofSubject['greetings'],
  takes: ProofSubject['takes'],
): readonly Finding[] {
  const { hours, line, switched } = useDraftTools();
  const directory = useDirectory();
  const allHours = useAllHours().data;
  const leavers = useLeavers();
  const settings = useSettings().data;
  const outgoing = settings?.outgoing ?? usualOutgoing;
  const mostAloneSeconds = settings?.mostAloneSeconds ?? aloneLimits.usual;
  const lines = useProofLines();
  const unpressed = useUnpressed(line.id);
  const today = dayAt(useNow(60_000), line.timeZone);
  const switchedTo = useMemo(() => switched && { to: switched.to, words: switched.words }, [switched]);
  useEffect(() => {
    if (!attendant || !allHours || !lines) return;
    const around = {
      line,
      hours,
      allHours,
      today,
      leavers,
      outgoing,
      switched: switchedTo,
      mostAloneSeconds,
      ...(unpressed && { unpressed }),
    };
    reader.read(of, { ...around, ...directory, attendant, greetings, takes, lines });
  }, [
    of,
    attendant,
    greetings,
    line,
    today,
    hours,
    allHours,
    takes,
    leavers,
    outgoing,
    directory,
    lines,
    unpressed,
    switchedTo,
    mostAloneSeconds,
  ]);
  return useSyncExternalStore(reader.subscribe, () => reader.findings(of));
}

const reader = new ProofReader(
  typeof Worker === 'undefined'
    ? null
    : () => new Worker(new URL('../workers/proof.worker.ts', import.meta.url), { type: 'module' }),
);

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
