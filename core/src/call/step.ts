import { answersAt } from '../hours';
import { unreachable } from '../result';
import { callLimits } from './defaults';
import type { CallEffect } from './effect';
import { endCall } from './end';
import type { CallEvent, Dialled, KeyPressed, PlayEnded, TimePassed } from './event';
import { takeKey, waitForKey, passSilently, sayMenu } from './menu';
import { beginRecording, finishMessage } from './message';
import { takePath } from './path';
import { setPhase, note, startTimer, type Run } from './run';
import type { CallScript } from './script';
import type { CallState, Next } from './state';

export interface StepResult {
  readonly state: CallState;
  readonly effects: readonly CallEffect[];
}

/**
 * One step of a call: what happened leads to the next state and to what is to be done. Holds no clock and no chance:
 * the same events always give the same effects. Events that mean nothing now (a late timer, a key while somebody is
 * rung) change nothing.
 */
export function step(script: CallScript, state: CallState, event: CallEvent): StepResult {
  if (state.phase.type === 'ended') return { state, effects: [] };
  const run: Run = { script, state, atMs: event.atMs, effects: [] };
  handle(run, event);
  return { state: run.state, effects: run.effects };
}

function handle(run: Run, event: CallEvent): void {
  switch (event.type) {
    case 'dialled':
      return answer(run, event);
    case 'keyPressed':
      return pressKey(run, event);
    case 'playEnded':
      return endPlay(run, event);
    case 'timePassed':
      return passTime(run, event);
    case 'staffAnswered':
      return connect(run, event.ringId);
    case 'staffBusy':
      return skipRung(run, event.ringId, 'busy');
    case 'staffHungUp':
      return run.state.phase.type === 'connected' ? endCall(run, 'staffHungUp') : undefined;
    case 'callerHungUp':
      return run.state.phase.type === 'idle' ? undefined : endCall(run, 'callerHungUp');
    default:
      return unreachable(event);
  }
}

function answer(run: Run, { callerNumber, atMs }: Dialled): void {
  if (run.state.phase.type !== 'idle') return;
  const { attendant, hours, timeZone } = run.script;
  const callTimerId = startTimer(run, callLimits.longestCallMs);
  run.state = { ...run.state, callTimerId };
  const winner = answersAt(attendant.answering.rules, hours, timeZone, atMs);
  note(run, { type: 'called', callerNumber, answer: winner });
  const slot = winner.type === 'period' ? { type: 'period' as const, periodId: winner.periodId } : winner;
  takePath(run, { slot, stepIndex: 0 });
}

function pressKey(run: Run, { key }: KeyPressed): void {
  const { phase } = run.state;
  if (phase.type === 'menuSpeaking' || phase.type === 'menuWaiting') return goOn(run, takeKey(run, phase, key));
  if (phase.type === 'recording' && key === '#') return finishMessage(run, phase);
  if (phase.type !== 'idle') note(run, { type: 'key', key, use: 'ignored' });
}

function endPlay(run: Run, { playId }: PlayEnded): void {
  const { phase } = run.state;
  if (!('playId' in phase) || phase.playId !== playId) return;
  if (phase.type === 'menuSpeaking') return waitForKey(run, phase);
  if (phase.type === 'boxGreeting') return beginRecording(run, phase.boxId);
  goOn(run, phase.next);
}

function goOn(run: Run, next: Next | undefined): void {
  if (!next) return;
  switch (next.type) {
    case 'path':
      return takePath(run, next.place);
    case 'menu':
      return sayMenu(run, next.sheetId, next.tries);
    case 'end':
      return endCall(run, next.reason);
    default:
      return unreachable(next);
  }
}

function passTime(run: Run, { timerId }: TimePassed): void {
  const { phase, callTimerId } = run.state;
  if (timerId === callTimerId) return endCall(run, 'longestCall');
  if (!('timerId' in phase) || phase.timerId !== timerId) return;
  if (phase.type === 'menuWaiting') return goOn(run, passSilently(run, phase));
  if (phase.type === 'ringing') return skipRung(run, phase.ringId, 'noAnswer');
  finishMessage(run, phase);
}

function connect(run: Run, ringId: string): void {
  const { phase } = run.state;
  if (phase.type !== 'ringing' || phase.ringId !== ringId) return;
  run.effects.push({ type: 'stopRinging', ringId }, { type: 'stopTimer', timerId: phase.timerId });
  run.effects.push({ type: 'connect', personId: phase.personId });
  note(run, { type: 'answered', personId: phase.personId });
  setPhase(run, { type: 'connected', personId: phase.personId });
}

function skipRung(run: Run, ringId: string, why: 'busy' | 'noAnswer'): void {
  const { phase } = run.state;
  if (phase.type !== 'ringing' || phase.ringId !== ringId) return;
  run.effects.push({ type: 'stopRinging', ringId }, { type: 'stopTimer', timerId: phase.timerId });
  note(run, { type: 'notAnswered', personId: phase.personId, why });
  takePath(run, { ...phase.place, stepIndex: phase.place.stepIndex + 1 });
}
