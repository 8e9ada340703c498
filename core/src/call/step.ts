import { isInList } from '../directory';
import { unreachable } from '../result';
import { ask, passAsk, takeAskKey, takeAskWords, waitForAnswer } from './ask';
import type { CallEffect } from './effect';
import { endCall } from './end';
import type { CallEvent, CallerSpoke, Dialled, KeyPressed, PlayEnded, StaffPressed, TimePassed } from './event';
import { callLimits } from './limits';
import { afterUnanswered, passSilently, sayMenu, takeKey, takeWords, waitForKey } from './menu';
import { beginMessage, finishMessage } from './message';
import { enterSheet, handOver, slotOfAnswer, takePath } from './path';
import { answerFor, readyOf } from './ready';
import { accept, answer, ring, tryNextPhone } from './ringing';
import { note, startTimer, type Run } from './run';
import type { CallScript } from './script';
import type { CallState, Next } from './state';

export interface StepResult {
  readonly state: CallState;
  readonly effects: readonly CallEffect[];
}

const nothing: readonly CallEffect[] = [];

/**
 * One step of a call: what happened leads to the next state and to what is to be done. Holds no clock and no chance:
 * the same events always give the same effects. Events that mean nothing now (a late timer, a key while somebody is
 * rung) change nothing.
 */
export function step(script: CallScript, state: CallState, event: CallEvent): StepResult {
  if (state.phase.type === 'ended') return { state, effects: nothing };
  const run: Run = { script, ready: readyOf(script), state: { ...state }, atMs: event.atMs, effects: [] };
  handle(run, event);
  return { state: run.effects.length === 0 ? state : run.state, effects: run.effects };
}

function handle(run: Run, event: CallEvent): void {
  switch (event.type) {
    case 'dialled':
      return answerCall(run, event);
    case 'keyPressed':
      return pressKey(run, event);
    case 'callerSpoke':
      return speak(run, event);
    case 'playEnded':
      return endPlay(run, event);
    case 'timePassed':
      return passTime(run, event);
    case 'staffAnswered':
      return onRing(run, event.ringId, 'answered');
    case 'staffBusy':
      return onRing(run, event.ringId, 'busy');
    case 'staffPressed':
      return pressStaffKey(run, event);
    case 'staffHungUp':
      return hangUpStaff(run);
    case 'callerHungUp':
      return run.state.phase.type === 'idle' ? undefined : endCall(run, 'callerHungUp');
    default:
      return unreachable(event);
  }
}

function answerCall(run: Run, { callerNumber, atMs }: Dialled): void {
  const { script, ready, state } = run;
  const line = ready.lines.get(script.lineId);
  if (state.phase.type !== 'idle' || !line) return;
  state.callerNumber = callerNumber;
  state.lineId = script.lineId;
  const blockedBy = ready.blocked.find((list) => isInList(list, callerNumber));
  if (blockedBy) {
    note(run, { type: 'blocked', callerNumber, callerListId: blockedBy.id });
    return endCall(run, 'blocked');
  }
  state.callTimerId = startTimer(run, callLimits.longestCallMs);
  const winner = answerFor(line, script, callerNumber, atMs);
  note(run, { type: 'called', callerNumber, lineId: script.lineId, answer: winner });
  takePath(run, { slot: slotOfAnswer(winner), stepIndex: 0, then: null });
}

function pressKey(run: Run, { key }: KeyPressed): void {
  const { phase } = run.state;
  switch (phase.type) {
    case 'menuSpeaking':
    case 'menuWaiting':
    case 'menuDialling':
      return goOn(run, takeKey(run, phase, key));
    case 'askSpeaking':
    case 'askWaiting':
      return goOn(run, takeAskKey(run, phase, key));
    case 'recording':
      if (key === '#') return finishMessage(run, phase);
      return note(run, { type: 'key', key, use: 'ignored' });
    case 'idle':
      return;
    default:
      return note(run, { type: 'key', key, use: 'ignored' });
  }
}

function speak(run: Run, { words }: CallerSpoke): void {
  const { phase } = run.state;
  if (phase.type === 'menuSpeaking' || phase.type === 'menuWaiting') return goOn(run, takeWords(run, phase, words));
  if ((phase.type === 'askSpeaking' || phase.type === 'askWaiting') && phase.ask.what !== 'extension') {
    return goOn(run, takeAskWords(run, phase, words));
  }
}

function endPlay(run: Run, { playId }: PlayEnded): void {
  const { phase } = run.state;
  if (!('playId' in phase) || phase.playId !== playId) return;
  switch (phase.type) {
    case 'menuSpeaking':
      return waitForKey(run, phase);
    case 'askSpeaking':
      return waitForAnswer(run, phase.ask);
    case 'boxGreeting':
      return beginMessage(run, phase);
    case 'saying':
      return goOn(run, phase.next);
    default:
      return unreachable(phase);
  }
}

function goOn(run: Run, next: Next | undefined): void {
  if (!next) return;
  switch (next.type) {
    case 'path':
      return takePath(run, next.place);
    case 'menu':
      return sayMenu(run, next.sheetId, next.tries);
    case 'enter':
      enterSheet(run, next.sheetId);
      return;
    case 'ring':
      return ring(run, next.ring);
    case 'handOver':
      return handOver(run, next.target);
    case 'ask':
      return ask(run, next.ask);
    case 'unanswered':
      return goOn(run, afterUnanswered(run, next.personId, next.sheetId));
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
  switch (phase.type) {
    case 'menuWaiting':
    case 'menuDialling':
      return goOn(run, passSilently(run, phase));
    case 'askWaiting':
      return goOn(run, passAsk(run, phase));
    case 'ringing':
      return goOn(run, tryNextPhone(run, phase, 'noAnswer'));
    case 'accepting':
      return goOn(run, tryNextPhone(run, phase, 'notAccepted'));
    case 'recording':
      return finishMessage(run, phase);
    default:
      return unreachable(phase);
  }
}

function onRing(run: Run, ringId: number, what: 'answered' | 'busy'): void {
  const { phase } = run.state;
  if (phase.type !== 'ringing' || phase.ringId !== ringId) return;
  if (what === 'answered') answer(run, phase);
  else goOn(run, tryNextPhone(run, phase, 'busy'));
}

function pressStaffKey(run: Run, { key }: StaffPressed): void {
  const { phase } = run.state;
  if (phase.type === 'accepting' && key === '1') accept(run, phase);
}

function hangUpStaff(run: Run): void {
  const { phase } = run.state;
  if (phase.type === 'connected') return endCall(run, 'staffHungUp');
  if (phase.type === 'accepting') goOn(run, tryNextPhone(run, phase, 'notAccepted'));
}
