import { unreachable } from '../result';
import { ask, passAsk, takeAskKey, takeAskWords, waitForAnswer } from './ask';
import { askPin, checkPin, hearNext, takeHearingKey, takePin, takePinKey, waitForPin } from './boxVisit';
import { endBlocked, goDirectly, transfer, whoIs } from './direct';
import type { CallEffect } from './effect';
import { endCall, startCallRecording } from './end';
import type {
  CallEvent,
  CallerSpoke,
  Dialled,
  GroupUnanswered,
  HandedOver,
  HandOverFailed,
  KeyPressed,
  MemberAnswered,
  PlaceIs,
  PlayEnded,
  QueueRefused,
  StaffBusy,
  StaffHandedOn,
  StaffPressed,
  StaffTransferred,
  TakeFinished,
  TimePassed,
} from './event';
import { afterGroup, ringGroup } from './group';
import { hold, holdOn, resume } from './hold';
import { callLimits } from './limits';
import { afterUnanswered, goOnInMenu, passSilently, takeKey, takeWords } from './menu';
import { beginMessage, finishMessage } from './message';
import { handOver, handedOver, handOverFailed } from './handOver';
import { beginLine, enterSheet, followPath, takePath } from './path';
import {
  askPlace,
  beginWait,
  connectMember,
  enterQueue,
  leaveQueue,
  sayPlace,
  stopWaiting,
  takeQueueKey,
  waitOn,
} from './queue';
import { answerFor, readyOf } from './ready';
import {
  finishTake,
  passTakeKey,
  recordTake,
  speakAgain,
  takeFinished,
  takeRecorderKey,
  waitForTakeKey,
} from './recorder';
import { accept, answer, ring, tryNextPhone } from './ringing';
import { newId, note, startTimer, stopPlaying, type Run } from './run';
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
      return answerRing(run, event.ringId);
    case 'staffBusy':
      return passBusy(run, event);
    case 'handedOver':
    case 'handOverFailed':
      return endHandOver(run, event);
    case 'memberAnswered':
      return answerMember(run, event);
    case 'groupUnanswered':
      return endGroup(run, event);
    case 'queued':
      return run.state.phase.type === 'queuing' ? beginWait(run, run.state.phase) : undefined;
    case 'queueRefused':
      return refuse(run, event);
    case 'placeIs':
      return tellPlace(run, event);
    case 'staffHeld':
      return holdCaller(run, event.on);
    case 'staffTransferred':
      return transferCaller(run, event);
    case 'staffHandedOn':
      return handOn(run, event);
    case 'pinChecked':
      return run.state.phase.type === 'pinChecking'
        ? goOn(run, takePin(run, run.state.phase, event.answer))
        : undefined;
    case 'takeFinished':
      return endTake(run, event);
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

function answerCall(run: Run, { callerNumber, atMs, to, answer }: Dialled): void {
  const { script, ready, state } = run;
  const line = ready.lines.get(script.lineId);
  if (state.phase.type !== 'idle' || !line) return;
  state.callerNumber = callerNumber;
  state.lineId = script.lineId;
  if (!answer && endBlocked(run, callerNumber)) return;
  state.callTimerId = startTimer(run, callLimits.longestCallMs);
  if (to) {
    note(run, { type: 'calledDirectly', callerNumber, lineId: script.lineId, to });
    return goOn(run, goDirectly(run, to));
  }
  const winner = answer ?? answerFor(line, script, callerNumber, atMs);
  note(run, { type: 'called', callerNumber, lineId: script.lineId, answer: winner });
  beginLine(run, line, winner);
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
    case 'inQueue':
      return goOn(run, takeQueueKey(run, phase, key));
    case 'pinSpeaking':
    case 'pinWaiting':
      return goOn(run, takePinKey(run, phase, key));
    case 'hearingMessages':
      return goOn(run, takeHearingKey(run, phase, key));
    case 'recording':
      if (key === '#') return finishMessage(run, phase);
      return note(run, { type: 'key', key, use: 'ignored' });
    case 'takeRecording':
      if (key === '#') return finishTake(run, phase);
      return note(run, { type: 'key', key, use: 'ignored' });
    case 'takeAsking':
    case 'takeWaiting':
      return goOn(run, takeRecorderKey(run, phase, key));
    case 'idle':
      return;
    default:
      return note(run, { type: 'key', key, use: 'ignored' });
  }
}

function speak(run: Run, { words }: CallerSpoke): void {
  const { phase } = run.state;
  if (phase.type === 'menuSpeaking' || phase.type === 'menuWaiting') return goOn(run, takeWords(run, phase, words));
  // Said into the message: nothing is to be understood, and it is written down.
  if (phase.type === 'recording') return note(run, { type: 'spoke', words, understood: true });
  if ((phase.type === 'askSpeaking' || phase.type === 'askWaiting') && phase.ask.what !== 'extension') {
    return goOn(run, takeAskWords(run, phase, words));
  }
}

function endPlay(run: Run, { playId }: PlayEnded): void {
  const { phase } = run.state;
  if (!('playId' in phase) || phase.playId !== playId) return;
  switch (phase.type) {
    case 'menuSpeaking':
      return goOnInMenu(run, phase);
    case 'askSpeaking':
      return waitForAnswer(run, phase.ask);
    case 'boxGreeting':
      return beginMessage(run, phase);
    case 'saying':
      return goOn(run, phase.next);
    case 'inQueue':
      return waitOn(run, phase);
    case 'onHold':
      return holdOn(run, phase);
    case 'pinSpeaking':
      return waitForPin(run, phase);
    case 'hearingMessages':
      return hearNext(run, phase, false);
    case 'takeSpeaking':
      return recordTake(run, phase);
    case 'takeAsking':
      return waitForTakeKey(run, phase);
    default:
      return unreachable(phase);
  }
}

function goOn(run: Run, next: Next | undefined): void {
  if (!next) return;
  switch (next.type) {
    case 'path':
      return followPath(run, next.place);
    case 'enter':
      enterSheet(run, next.sheetId);
      return;
    case 'ring':
      return ring(run, next.ring);
    case 'ringGroup':
      return ringGroup(run, next.ring);
    case 'queue':
      return enterQueue(run, next.queueId, next.place);
    case 'record':
      startCallRecording(run, newId(run));
      return takePath(run, next.place);
    case 'take':
      return speakAgain(run, next.of);
    case 'pin':
      return askPin(run, next.boxId, next.wrongPins);
    case 'handOver':
      return handOver(run, next.target, next.place);
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
  if (phase.type === 'inQueue' && timerId === phase.placeTimerId) return askPlace(run, phase);
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
    case 'handingOver':
      return goOn(run, handOverFailed(run, phase, 'noAnswer'));
    case 'recording':
      return finishMessage(run, phase);
    case 'inQueue':
      return goOn(run, leaveQueue(run, phase, 'tooLong'));
    case 'pinWaiting':
      return checkPin(run, phase, phase.digits);
    case 'takeRecording':
      return finishTake(run, phase);
    case 'takeWaiting':
      return passTakeKey(run, phase);
    default:
      return unreachable(phase);
  }
}

function answerRing(run: Run, ringId: number): void {
  const { phase } = run.state;
  if (phase.type === 'ringing' && phase.ringId === ringId) answer(run, phase);
}

function passBusy(run: Run, { ringId, why }: StaffBusy): void {
  const { phase } = run.state;
  if (phase.type === 'ringing' && phase.ringId === ringId) goOn(run, tryNextPhone(run, phase, why ?? 'busy'));
}

function endHandOver(run: Run, event: HandedOver | HandOverFailed): void {
  const { phase } = run.state;
  if (phase.type !== 'handingOver' || phase.handOverId !== event.handOverId) return;
  if (event.type === 'handedOver') handedOver(run, phase);
  else goOn(run, handOverFailed(run, phase, event.why));
}

function answerMember(run: Run, { id, phone, holdGreetingId }: MemberAnswered): void {
  const { phase } = run.state;
  if (phase.type === 'ringingGroup' && phase.ringId === id) {
    connectMember(run, phone, holdGreetingId);
    run.effects.push({ type: 'stopRinging', ringId: id });
    return;
  }
  if (phase.type !== 'inQueue' || phase.waitId !== id) return;
  stopWaiting(run, phase, 'answered');
  connectMember(run, phone, holdGreetingId);
}

function endGroup(run: Run, { ringId, why }: GroupUnanswered): void {
  const { phase } = run.state;
  if (phase.type === 'ringingGroup' && phase.ringId === ringId) goOn(run, afterGroup(run, phase, why));
}

function refuse(run: Run, { waitId, why }: QueueRefused): void {
  const { phase } = run.state;
  const isWaiting = phase.type === 'queuing' || phase.type === 'inQueue';
  if (isWaiting && phase.waitId === waitId) goOn(run, leaveQueue(run, phase, why));
}

function tellPlace(run: Run, event: PlaceIs): void {
  const { phase } = run.state;
  if (phase.type === 'inQueue' && phase.waitId === event.waitId) sayPlace(run, phase, event);
}

function holdCaller(run: Run, on: boolean): void {
  const { phase } = run.state;
  if (on && phase.type === 'connected') hold(run, phase);
  if (!on && phase.type === 'onHold') resume(run, phase);
}

function transferCaller(run: Run, { to }: StaffTransferred): void {
  const { phase } = run.state;
  if (phase.type !== 'connected' && phase.type !== 'onHold') return;
  if (phase.type === 'onHold') stopPlaying(run, phase.playId);
  goOn(run, transfer(run, phase.target, to));
}

function handOn(run: Run, { personId }: StaffHandedOn): void {
  const { phase } = run.state;
  if (phase.type !== 'connected' && phase.type !== 'onHold') return;
  if (phase.type === 'onHold') stopPlaying(run, phase.playId);
  note(run, { type: 'transferred', to: { type: 'person', personId }, by: whoIs(phase.target) });
  connectMember(run, { type: 'person', personId, number: null }, phase.holdGreetingId);
}

function endTake(run: Run, { recordingId, take }: TakeFinished): void {
  const { phase } = run.state;
  if (phase.type === 'takeFinishing' && phase.recordingId === recordingId) takeFinished(run, phase, take);
}

function pressStaffKey(run: Run, { key }: StaffPressed): void {
  const { phase } = run.state;
  if (phase.type === 'accepting' && key === '1') accept(run, phase);
}

function hangUpStaff(run: Run): void {
  const { phase } = run.state;
  if (phase.type === 'connected' || phase.type === 'onHold') return endCall(run, 'staffHungUp');
  if (phase.type === 'accepting') goOn(run, tryNextPhone(run, phase, 'notAccepted'));
}
