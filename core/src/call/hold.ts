import { holdPieceOf, type GreetingId } from '../line';
import type { PlayItem } from './effect';
import { callLimits } from './limits';
import { note, play, setPhase, stopPlaying, type Run } from './run';
import type { Connected, OnHold } from './state';
import { greetingItems } from './words';

/** Puts the caller on hold: they hear the music or audio over and over. */
export function hold(run: Run, { target, holdGreetingId }: Connected): void {
  note(run, { type: 'held', on: true });
  holdOn(run, { target, holdGreetingId });
}

/** What is heard on hold begins again. */
export function holdOn(run: Run, { target, holdGreetingId }: Pick<OnHold, 'target' | 'holdGreetingId'>): void {
  const playId = play(run, holdItems(run, holdGreetingId));
  setPhase(run, { type: 'onHold', target, holdGreetingId, playId });
}

export function resume(run: Run, { target, holdGreetingId, playId }: OnHold): void {
  stopPlaying(run, playId);
  note(run, { type: 'held', on: false });
  setPhase(run, { type: 'connected', target, holdGreetingId });
}

function holdItems(run: Run, greetingId: GreetingId | null): readonly PlayItem[] {
  const items = greetingId ? libraryItems(run, greetingId) : [];
  return items.length > 0 ? items : [music(run, callLimits.musicMs)];
}

/** A greeting of the library as something to be heard; nothing when it is gone. */
export function libraryItems(run: Run, greetingId: GreetingId): readonly PlayItem[] {
  const greeting = run.ready.greetings.get(greetingId);
  return greeting ? greetingItems(run, greeting, { type: 'line' }) : [];
}

/** The hold music that the business has chosen. */
export function music(run: Run, ms: number): PlayItem {
  return { type: 'music', ms, piece: holdPieceOf(run.script.holdMusic, (id) => run.ready.takes.get(id)) };
}
