import type { CallEffect, PlayItem } from './effect';
import type { CallScript } from './script';
import type { CallState, Next, Phase } from './state';
import type { TranscriptEntry } from './transcript';

type EntryContent = TranscriptEntry extends infer Entry ? (Entry extends unknown ? Omit<Entry, 'atMs'> : never) : never;

/** One step of the machine while it is being taken: the state so far and the effects gathered. Never outlives it. */
export interface Run {
  readonly script: CallScript;
  readonly atMs: number;
  state: CallState;
  readonly effects: CallEffect[];
}

export function setPhase(run: Run, phase: Phase): void {
  run.state = { ...run.state, phase };
}

export function newId(run: Run, kind: 'play' | 'ring' | 'timer' | 'recording'): string {
  run.state = { ...run.state, idsGiven: run.state.idsGiven + 1 };
  return `${kind}:${run.state.idsGiven}`;
}

export function note(run: Run, entry: EntryContent): void {
  run.effects.push({ type: 'note', entry: { atMs: run.atMs, ...entry } as TranscriptEntry });
}

export function startTimer(run: Run, afterMs: number): string {
  const timerId = newId(run, 'timer');
  run.effects.push({ type: 'startTimer', timerId, afterMs });
  return timerId;
}

/** Begins to play and notes what is said. */
export function play(run: Run, items: readonly PlayItem[]): string {
  const playId = newId(run, 'play');
  run.effects.push({ type: 'play', playId, items });
  for (const item of items) {
    if (item.type === 'sentence') note(run, { type: 'said', text: item.sentence.text, source: item.sentence.source });
  }
  return playId;
}

/** Says something during which keys do nothing. */
export function sayThen(run: Run, items: readonly PlayItem[], next: Next): void {
  setPhase(run, { type: 'saying', playId: play(run, items), next });
}
