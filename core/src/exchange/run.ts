import { readyOf, type CallEvent, type CallScript, type Ready, type TranscriptEntry } from '../call';
import type { GroupId, PersonId, QueueId } from '../directory';
import { CopyOnWrite } from './copyOnWrite';
import type { ExchangeEffect } from './effect';
import {
  newQueueLine,
  newStaff,
  type CallId,
  type Doing,
  type Due,
  type Exchange,
  type Hunt,
  type LiveCall,
  type QueueLine,
  type Staff,
} from './state';

/** One step of the exchange while it is being taken. Never outlives it. */
export interface Run {
  /** The directory as it is now; each call goes by the script it began with. */
  readonly world: CallScript;
  readonly ready: Ready;
  readonly atMs: number;
  readonly calls: CopyOnWrite<CallId, LiveCall>;
  readonly staff: CopyOnWrite<PersonId, Staff>;
  readonly hunts: CopyOnWrite<CallId, Hunt>;
  readonly queues: CopyOnWrite<QueueId, QueueLine>;
  readonly turns: CopyOnWrite<GroupId | QueueId, PersonId>;
  readonly timers: CopyOnWrite<number, Due>;
  timersGiven: number;
  readonly effects: ExchangeEffect[];
  /** What calls are still to be told in this step, in order. */
  readonly pending: { readonly callId: CallId; readonly event: CallEvent }[];
  /** What they were told. */
  readonly told: { readonly callId: CallId; readonly event: CallEvent }[];
  /** Who may have become free in this step: groups and queues look at them once calls were told. */
  readonly freed: PersonId[];
  /** Queues in which something changed. */
  readonly touched: Set<QueueId>;
}

export function startRun(world: CallScript, exchange: Exchange, atMs: number): Run {
  return {
    world,
    ready: readyOf(world),
    atMs,
    calls: new CopyOnWrite(exchange.calls),
    staff: new CopyOnWrite(exchange.staff),
    hunts: new CopyOnWrite(exchange.hunts),
    queues: new CopyOnWrite(exchange.queues),
    turns: new CopyOnWrite(exchange.turns),
    timers: new CopyOnWrite(exchange.timers),
    timersGiven: exchange.timersGiven,
    effects: [],
    pending: [],
    told: [],
    freed: [],
    touched: new Set(),
  };
}

export function endRun(run: Run): Exchange {
  const { calls, staff, hunts, queues, turns, timers, timersGiven } = run;
  return {
    calls: calls.now,
    staff: staff.now,
    hunts: hunts.now,
    queues: queues.now,
    turns: turns.now,
    timers: timers.now,
    timersGiven,
  };
}

export function staffOf(run: Run, personId: PersonId): Staff {
  return run.staff.get(personId) ?? newStaff;
}

export function lineOfQueue(run: Run, queueId: QueueId): QueueLine {
  return run.queues.get(queueId) ?? newQueueLine;
}

/** Tells a call something, once what is being done now is done. */
export function tell(run: Run, callId: CallId, event: CallEvent): void {
  run.pending.push({ callId, event });
}

/** Adds a line to a call's transcript. */
export function noteFor(run: Run, callId: CallId, entry: TranscriptEntry): void {
  run.effects.push({ type: 'forCall', callId, effect: { type: 'note', entry } });
}

export function startTimer(run: Run, due: Due, afterMs: number): number {
  const timerId = (run.timersGiven += 1);
  run.timers.set(timerId, due);
  run.effects.push({ type: 'startTimer', timerId, afterMs });
  return timerId;
}

export function stopTimer(run: Run, timerId: number | null): void {
  if (timerId === null || !run.timers.get(timerId)) return;
  run.timers.delete(timerId);
  run.effects.push({ type: 'stopTimer', timerId });
}

/** Lets somebody do something else; what timed the thing before is stopped. */
export function setDoing(run: Run, personId: PersonId, doing: Doing): void {
  const before = staffOf(run, personId);
  if (before.doing.type === 'rung') {
    stopTimer(run, before.doing.timerId);
    if (before.doing.by.type === 'queue') run.touched.add(before.doing.by.queueId);
  }
  run.staff.set(personId, { ...before, doing });
  if (doing.type === 'nothing') run.freed.push(personId);
}

export function setFree(run: Run, personId: PersonId): void {
  setDoing(run, personId, { type: 'nothing' });
}
