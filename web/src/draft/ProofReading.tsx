import { usualOutgoing } from '@locutor/core/directory';
import { dayAt } from '@locutor/core/hours';
import { aloneLimits, type ProofLine, type ProofSubject } from '@locutor/core/proof';
import { useEffect, useMemo } from 'react';
import {
  useAllHours,
  useDirectory,
  useLeavers,
  useOnAir,
  useServerScript,
  useSettings,
  useUnpressed,
  useTextRecordings,
} from '../api/resources';
import { useNow } from '../parts/useNow';
import { useOwnVoices } from '../parts/useVoices';
import { useTakes } from '../takes/useTakes';
import { useDraftTools, useLateAttendant } from './DraftProvider';
import { reader } from './useFindings';

/**
 * Has the draft and what is on air read whenever something changes that is read there. It stands once around all screens;
 * whoever shows what was found asks `useFindings` and its like.
 */
export function ProofReading() {
  const { line } = useDraftTools();
  const onAir = useOnAir(line);
  const around = useAround();
  useEffect(() => {
    if (around && onAir) reader.read('air', { ...around, attendant: onAir.attendant, greetings: onAir.greetings });
  }, [around, onAir]);
  return around && <DraftReading around={around} />;
}

/** Renders with every letter that is typed, and so does little else. */
function DraftReading({ around }: { readonly around: Around }): null {
  const attendant = useLateAttendant();
  useEffect(() => reader.read('draft', { ...around, attendant }), [around, attendant]);
  return null;
}

/** What is read along with an attendant: the directory, the hours, the switch, the lines, as they are now. */
type Around = Omit<ProofSubject, 'attendant'>;

/** Undefined until all of it is there. */
function useAround(): Around | undefined {
  const { hours, line, switched } = useDraftTools();
  const directory = useDirectory();
  const takes = useTakes();
  const recordings = useTextRecordings();
  const ownVoices = useOwnVoices();
  const allHours = useAllHours().data;
  const leavers = useLeavers();
  const settings = useSettings().data;
  const outgoing = settings?.outgoing ?? usualOutgoing;
  const mostAloneSeconds = settings?.mostAloneSeconds ?? aloneLimits.usual;
  const lines = useProofLines();
  const unpressed = useUnpressed(line.id);
  const today = dayAt(useNow(60_000), line.timeZone);
  return useMemo(() => {
    if (!allHours || !lines) return undefined;
    const switchedTo = switched && { to: switched.to, words: switched.words };
    return {
      ...directory,
      line,
      hours,
      allHours,
      today,
      leavers,
      outgoing,
      switched: switchedTo,
      mostAloneSeconds,
      takes,
      recordings,
      lines,
      ...(unpressed && { unpressed }),
      ...(ownVoices && { ownVoices: ownVoices.voices.map(({ voice }) => voice) }),
    };
  }, [
    line,
    hours,
    switched,
    directory,
    takes,
    recordings,
    allHours,
    leavers,
    outgoing,
    mostAloneSeconds,
    lines,
    unpressed,
    ownVoices,
    today,
  ]);
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
