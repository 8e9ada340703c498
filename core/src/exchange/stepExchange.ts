import { idleCall, step, type CallEvent, type CallScript } from '../call';
import type { PersonId, QueueId } from '../directory';
import { unreachable } from '../result';
import { reactTo } from './callEffects';
import { dial } from './dial';
import type { ExchangeEffect } from './effect';
import type { CallArrives, ExchangeEvent, PresenceSet, TimerOver } from './event';
import { giveUp, huntOn, joinHunts } from './hunt';
import { dismiss, offer } from './offers';
import { endRun, setFree, staffOf, startRun, tell, type Run } from './run';
import { consult, sendOn } from './consult';
import { askForTake, giveUpTake } from './takes';
import { answerPhone, declineCall, hangUpPhone, holdCall, pickCall, pressKey, transferCall } from './staffActs';
import { isOutside } from './legs';
import type { CallId, Exchange, Leg, LiveCall } from './state';

export interface ExchangeResult {
  readonly exchange: Exchange;
  readonly effects: readonly ExchangeEffect[];
  /** What calls were told in this step, in order. */
  readonly told: readonly { readonly callId: CallId; readonly event: CallEvent }[];
  /** When the step was taken, in ms since 1970. */
  readonly atMs: number;
}

/**
 * One step of everything on the line: what happened, to a call or to somebody of the staff, leads to the next state and
 * to what is to be done. Holds no clock and no chance; events that mean nothing now change nothing.
 *
 * @param world the directory as it is now, by which groups, queues and people are rung. Each call's own attendant is
 *   the one it began with.
 */
export function stepExchange(world: CallScript, exchange: Exchange, event: ExchangeEvent): ExchangeResult {
  const run = startRun(world, exchange, event.type === 'ofCall' ? event.event.atMs : event.atMs);
  handle(run, event);
  settle(run);
  return { exchange: endRun(run), effects: run.effects, told: run.told, atMs: run.atMs };
}

function handle(run: Run, event: ExchangeEvent): void {
  switch (event.type) {
    case 'callArrives':
      return admit(run, event);
    case 'ofCall':
      return tell(run, event.callId, event.event);
    case 'timerOver':
      return timeOver(run, event);
    case 'staffAnswers':
      return answerPhone(run, event.personId);
    case 'staffDeclines':
      return declineCall(run, event.personId, event.why);
    case 'staffPresses':
      return pressKey(run, event.personId, event.key);
    case 'staffHangsUp':
      return hangUpPhone(run, event.personId);
    case 'staffHolds':
      return holdCall(run, event.personId, event.on);
    case 'staffTransfers':
      return transferCall(run, event.personId, event.to);
    case 'staffConsults':
      return consult(run, event);
    case 'staffSendsOn':
      return sendOn(run, event.personId);
    case 'staffPicks':
      return pickCall(run, event.personId, event.callId);
    case 'staffDials':
      return dial(run, event);
    case 'takeAsked':
      return askForTake(run, event);
    case 'takeGivenUp':
      return giveUpTake(run, event);
    case 'presenceSet':
      return setPresence(run, event);
    default:
      return unreachable(event);
  }
}

function admit(run: Run, { callId, callerNumber, script, to, answer, atMs }: CallArrives): void {
  if (run.calls.get(callId)) return;
  const call: LiveCall = {
    id: callId,
    script,
    state: idleCall,
    callerNumber,
    sinceMs: atMs,
    staffCaller: null,
    talkingTo: null,
    outside: null,
    broughtBy: null,
    transfer: null,
  };
  run.calls.set(callId, call);
  tell(run, callId, { type: 'dialled', atMs, callerNumber, ...(to && { to }), ...(answer && { answer }) });
}

/** Tells calls what they are to be told, then groups and queues who is free, until nothing is left to tell. */
function settle(run: Run): void {
  for (;;) {
    const next = run.pending.shift();
    if (next) {
      stepCall(run, next.callId, next.event);
      continue;
    }
    const freed = run.freed.shift();
    if (freed) {
      joinHunts(run, freed);
      for (const queue of queuesOf(run, freed)) run.touched.add(queue);
      continue;
    }
    const [touched] = run.touched;
    if (!touched) return;
    run.touched.delete(touched);
    offer(run, touched);
  }
}

/** The queues in which callers wait for somebody. */
function queuesOf({ queues, ready }: Run, personId: PersonId): readonly QueueId[] {
  const found: QueueId[] = [];
  for (const [queueId, { waiting }] of queues.now) {
    if (waiting.length === 0) continue;
    if (ready.queues.get(queueId)?.members.some((member) => member.personId === personId)) found.push(queueId);
  }
  return found;
}

function stepCall(run: Run, callId: LiveCall['id'], event: CallEvent): void {
  const call = run.calls.get(callId);
  if (!call) return;
  run.told.push({ callId, event });
  const { state, effects } = step(call.script, call.state, event);
  if (state !== call.state) run.calls.set(callId, { ...call, state });
  for (const effect of effects) {
    run.effects.push({ type: 'forCall', callId, effect });
    reactTo(run, callId, effect);
  }
}

function timeOver(run: Run, { timerId }: TimerOver): void {
  const due = run.timers.get(timerId);
  run.timers.delete(timerId);
  if (!due) return;
  switch (due.type) {
    case 'member':
      return huntOn(run, due.callId);
    case 'limit':
      return giveUp(run, due.callId, 'noAnswer');
    case 'accept':
    case 'offer':
      return declineCall(run, due.personId, 'busy', 'letRing');
    case 'free':
      if (staffOf(run, due.personId).doing.type === 'nothing') setFree(run, due.personId);
      return;
    default:
      unreachable(due);
  }
}

/** Busy or away also takes the phone off what rings it now. */
function setPresence(run: Run, { personId, presence }: PresenceSet): void {
  const { doing } = staffOf(run, personId);
  const isRung = doing.type === 'rung' && (presence === 'busy' || (presence === 'away' && isDesk(doing)));
  if (isRung) declineCall(run, personId);
  run.staff.set(personId, { ...staffOf(run, personId), presence });
  if (presence === 'here') run.freed.push(personId);
  if (presence !== 'away') return;
  for (const [queueId] of run.queues.now) dismiss(run, queueId);
}

function isDesk({ leg }: { readonly leg: Leg }): boolean {
  return !isOutside(leg.phone);
}
