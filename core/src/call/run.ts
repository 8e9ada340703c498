import type { VoiceId } from '../line';
import type { SpokenFacts } from '../speech';
import type { CallEffect, PlayItem } from './effect';
import type { Ready, ReadyLine } from './ready';
import { clipIn } from './textRecordings';
import type { CallScript } from './script';
import type { CallState, Next, Phase } from './state';
import type { TranscriptEntry } from './transcript';

type EntryContent = TranscriptEntry extends infer Entry ? (Entry extends unknown ? Omit<Entry, 'atMs'> : never) : never;

type Writable<Kept> = { -readonly [Name in keyof Kept]: Kept[Name] };

/** One step of the machine while it is being taken: the state so far and the effects gathered. Never outlives it. */
export interface Run {
  readonly script: CallScript;
  readonly ready: Ready;
  readonly atMs: number;
  /** A copy of the state before, changed as the step goes on. */
  readonly state: Writable<CallState>;
  readonly effects: CallEffect[];
}

export function setPhase(run: Run, phase: Phase): void {
  run.state.phase = phase;
}

/** A new number for a play, ring, timer or recording of this call. */
export function newId(run: Run): number {
  return (run.state.idsGiven += 1);
}

export function note(run: Run, entry: EntryContent): void {
  run.effects.push({ type: 'note', entry: Object.assign(entry, { atMs: run.atMs }) as TranscriptEntry });
}

export function startTimer(run: Run, afterMs: number): number {
  const timerId = newId(run);
  run.effects.push({ type: 'startTimer', timerId, afterMs });
  return timerId;
}

export function stopTimer(run: Run, timerId: number | null): void {
  if (timerId !== null) run.effects.push({ type: 'stopTimer', timerId });
}

export function play(run: Run, items: readonly PlayItem[]): number {
  const playId = newId(run);
  run.effects.push({ type: 'play', playId, items });
  return playId;
}

export function stopPlaying(run: Run, playId: number): void {
  run.effects.push({ type: 'stopPlaying', playId });
}

/** Says something during which keys do nothing. */
export function sayThen(run: Run, items: readonly PlayItem[], next: Next): void {
  setPhase(run, { type: 'saying', playId: play(run, items), next });
}

/** The line whose attendant the caller is with. */
export function lineOf(run: Run): ReadyLine {
  const line = run.state.lineId && run.ready.lines.get(run.state.lineId);
  if (!line) throw new Error('The call is with no line');
  return line;
}

/** The voice of what is said now: that of the sheet entered last, else the attendant's. */
export function voiceOf(run: Run): VoiceId {
  const line = lineOf(run);
  const sheet = run.state.sheetId && line.sheets.get(run.state.sheetId);
  return sheet ? sheet.voice : line.script.attendant.voice;
}

/** Counts one more sheet, line or named path entered; false when that is too many without a key: a circle. */
export function mayTurn(run: Run, most: number): boolean {
  run.state.turnsWithoutKey += 1;
  return run.state.turnsWithoutKey <= most;
}

/** What live parts say at this moment, on the line the caller is with, or the one dialled where there is none yet. */
export function factsOf(run: Run): SpokenFacts {
  const line = run.ready.lines.get(run.state.lineId ?? run.script.lineId);
  if (!line) throw new Error('The call is with no line');
  const takeOf: SpokenFacts['takeOf'] = (id) => run.ready.takes.get(id);
  return {
    business: line.script.name,
    atMs: run.atMs,
    zone: line.script.timeZone,
    clock: line.clock,
    hours: line.hours,
    hoursOf: (id) => (id === line.hours.id ? line.hours : run.ready.hours.get(id)),
    personOf: (id) => run.ready.people.get(id),
    takeOf,
    clipOf: (language, words) => clipIn(run.ready.recordings, takeOf, language, words),
  };
}
