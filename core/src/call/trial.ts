import type { Key } from '../line';
import { estimateMs } from '../speech';
import type { CallEffect, Play, RungPhone } from './effect';
import type { CallEvent } from './event';
import type { CallScript } from './script';
import { idleCall } from './state';
import { step } from './step';
import { transcriptOf, type TranscriptEntry } from './transcript';

/** How a caller behaves: keys pressed, words said and the phone put down, each so many ms after the line answered. */
export type CallerAct =
  | { readonly type: 'press'; readonly key: Key; readonly afterMs: number }
  | { readonly type: 'speak'; readonly words: string; readonly afterMs: number }
  | { readonly type: 'hangUp'; readonly afterMs: number };

/** What a rung phone does: answers (and accepts, where asked) or is busy, or rings on; and how long they talk. */
export type StaffAct =
  | { readonly type: 'answer'; readonly afterMs: number; readonly talkMs: number }
  /** Picked up, but nobody presses 1: what a mobile's voicemail does. Without being asked they are connected. */
  | { readonly type: 'voicemail'; readonly afterMs: number }
  | { readonly type: 'busy' }
  | { readonly type: 'noAnswer' };

export interface Trial {
  readonly atMs: number;
  readonly callerNumber: string;
  readonly caller: readonly CallerAct[];
  readonly staff: (phone: RungPhone) => StaffAct;
}

export interface TrialResult {
  readonly transcript: readonly TranscriptEntry[];
  readonly effects: readonly CallEffect[];
  readonly events: readonly CallEvent[];
  /** False when the call was still going after `mostEvents`. */
  readonly ended: boolean;
}

interface Due {
  readonly order: number;
  readonly event: CallEvent;
  readonly id: number | null;
}

const beepMs = 400;
/** How soon somebody presses 1 when asked to accept a call. */
const acceptAfterMs = 2000;

/** Runs a whole call on a clock of its own, with the lengths of what is said estimated. */
export function runTrial(script: CallScript, trial: Trial, mostEvents = 10_000): TrialResult {
  const events: CallEvent[] = [];
  const effects: CallEffect[] = [];
  const transcript: TranscriptEntry[] = [];
  let order = 0;
  let due: Due[] = [];
  const later = (event: CallEvent, id: number | null = null): void => {
    due.push({ order: (order += 1), event, id });
  };
  const cancel = (id: number): void => {
    due = due.filter((each) => each.id !== id);
  };
  later({ type: 'dialled', atMs: trial.atMs, callerNumber: trial.callerNumber });
  for (const act of trial.caller) later(callerEvent(act, trial.atMs));

  let state = idleCall;
  while (due.length > 0 && events.length < mostEvents && state.phase.type !== 'ended') {
    const next = due.reduce((first, each) => (comesBefore(each, first) ? each : first));
    due = due.filter((each) => each !== next);
    events.push(next.event);
    const result = step(script, state, next.event);
    state = result.state;
    effects.push(...result.effects);
    transcript.push(...transcriptOf(result.effects, next.event.atMs));
    for (const effect of result.effects) react(effect, next.event.atMs, trial, later, cancel);
  }
  return { transcript, effects, events, ended: state.phase.type === 'ended' };
}

function comesBefore(one: Due, other: Due): boolean {
  return one.event.atMs === other.event.atMs ? one.order < other.order : one.event.atMs < other.event.atMs;
}

function callerEvent(act: CallerAct, startMs: number): CallEvent {
  const atMs = startMs + act.afterMs;
  if (act.type === 'press') return { type: 'keyPressed', atMs, key: act.key };
  return act.type === 'speak' ? { type: 'callerSpoke', atMs, words: act.words } : { type: 'callerHungUp', atMs };
}

function react(
  effect: CallEffect,
  nowMs: number,
  trial: Trial,
  later: (event: CallEvent, id?: number | null) => void,
  cancel: (id: number) => void,
): void {
  switch (effect.type) {
    case 'play':
      later({ type: 'playEnded', atMs: nowMs + playMs(effect), playId: effect.playId }, effect.playId);
      return;
    case 'startTimer':
      later({ type: 'timePassed', atMs: nowMs + effect.afterMs, timerId: effect.timerId }, effect.timerId);
      return;
    case 'ring':
      return pickUp(trial.staff(effect.phone), effect.ringId, nowMs, later);
    case 'connect': {
      const act = trial.staff(effect.phone);
      if (act.type === 'answer') later({ type: 'staffHungUp', atMs: nowMs + act.talkMs });
      return;
    }
    case 'stopPlaying':
      return cancel(effect.playId);
    case 'stopTimer':
      return cancel(effect.timerId);
    case 'stopRinging':
      return cancel(effect.ringId);
    default:
      return;
  }
}

function pickUp(act: StaffAct, ringId: number, nowMs: number, later: (event: CallEvent, id?: number) => void): void {
  if (act.type === 'busy') later({ type: 'staffBusy', atMs: nowMs, ringId }, ringId);
  if (act.type === 'voicemail') later({ type: 'staffAnswered', atMs: nowMs + act.afterMs, ringId }, ringId);
  if (act.type !== 'answer') return;
  const atMs = nowMs + act.afterMs;
  later({ type: 'staffAnswered', atMs, ringId }, ringId);
  later({ type: 'staffPressed', atMs: atMs + acceptAfterMs, key: '1' }, ringId);
}

function playMs({ items }: Play): number {
  return items.reduce(
    (sum, item) => sum + (item.type === 'beep' ? beepMs : estimateMs(item.sentence.text) + item.sentence.pauseAfterMs),
    0,
  );
}
