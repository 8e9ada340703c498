import type { TranscriptEntry } from '../call';
import type { Key, SheetId } from '../line';

/**
 * What a caller did in a sheet: an option's key, digits of an extension or name, a spoken word; nothing, or only wrong keys,
 * until the menu had enough of it; hung up; or heard it to its end, which is all there is to do in an announcement.
 */
export type Choice = Key | 'digits' | 'spoke' | 'nothing' | 'wrongKeys' | 'hungUp' | 'heard';

/** One time that a caller came to a menu or announcement. */
export interface Visit {
  readonly sheetId: SheetId;
  readonly choice: Choice;
  /**
   * From when the words began in which they chose, to when they did, in ms: those of the sheet, or those that it says
   * again after silence or a wrong key.
   */
  readonly afterMs: number;
  /** Whether those were the first words: only then does the time tell where in the greeting they were. */
  readonly isFirstRound: boolean;
  readonly wrongKeys: number;
  readonly silences: number;
}

interface Open {
  readonly sheetId: SheetId;
  readonly enteredAtMs: number;
  roundAtMs: number | null;
  rounds: number;
  wrongKeys: number;
  silences: number;
}

/** Each time a caller came to a sheet, in order; the last may be one that they are in still, which is left out. */
export function visitsIn(transcript: readonly TranscriptEntry[]): readonly Visit[] {
  const visits: Visit[] = [];
  let open: Open | null = null;
  const close = (choice: Choice, atMs: number): void => {
    if (!open) return;
    const { sheetId, enteredAtMs, roundAtMs, rounds, wrongKeys, silences } = open;
    const afterMs = Math.max(0, atMs - (roundAtMs ?? enteredAtMs));
    visits.push({ sheetId, choice, afterMs, isFirstRound: rounds === 0, wrongKeys, silences });
    open = null;
  };
  for (const entry of transcript) {
    const was: Open | null = open;
    if (entry.type === 'sheet') {
      close(leftBy(was), entry.atMs);
      open = {
        ...{ sheetId: entry.sheetId, enteredAtMs: entry.atMs, roundAtMs: null },
        ...{ rounds: 0, wrongKeys: 0, silences: 0 },
      };
    } else if (was) happen(was, entry, close);
  }
  return visits;
}

function happen(open: Open, entry: TranscriptEntry, close: (choice: Choice, atMs: number) => void): void {
  switch (entry.type) {
    case 'said':
      open.roundAtMs ??= entry.atMs;
      return;
    case 'key':
      if (entry.use === 'option') close(entry.key, entry.atMs);
      else if (entry.use === 'wrong') newRound(open, 'wrongKeys');
      return;
    case 'silence':
      return newRound(open, 'silences');
    case 'dialledExtension':
      return entry.to ? close('digits', entry.atMs) : newRound(open, 'wrongKeys');
    case 'spelled':
      return entry.matches.length > 0 ? close('digits', entry.atMs) : newRound(open, 'wrongKeys');
    case 'spoke':
      return entry.understood ? close('spoke', entry.atMs) : newRound(open, 'wrongKeys');
    case 'ended':
      return close(entry.reason === 'callerHungUp' ? 'hungUp' : leftBy(open), entry.atMs);
    case 'ringing':
    case 'ringingGroup':
    case 'queued':
    case 'recording':
    case 'handingOver':
    case 'line':
    case 'notAnswered':
      return close(leftBy(open), entry.atMs);
    default:
      return;
  }
}

function newRound(open: Open, count: 'wrongKeys' | 'silences'): void {
  open[count] += 1;
  open.rounds += 1;
  open.roundAtMs = null;
}

/** Where no key was chosen: the menu went on by itself, for want of one or of a right one, or its words were over. */
function leftBy(open: Open | null): Choice {
  if (!open) return 'heard';
  if (open.silences > 0 && open.silences >= open.wrongKeys) return 'nothing';
  return open.wrongKeys > 0 ? 'wrongKeys' : 'heard';
}
