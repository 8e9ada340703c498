import { readyOf, type CallEvent, type CallScript, type Ready, type RungPhone, type TranscriptEntry } from '../call';
import type { GroupId, PersonId, QueueId } from '../directory';
import { CopyOnWrite } from './copyOnWrite';
import type { ExchangeEffect } from './effect';
import { isOutside, legOf } from './legs';
import {
  newQueueLine,
  newStaff,
  type CallId,
  type Doing,
  type Due,
  type Exchange,
  type Hunt,
  type Leg,
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
  legsGiven: number;
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
    legsGiven: exchange.legsGiven,
    effects: [],
    pending: [],
    told: [],
    freed: [],
    touched: new Set(),
  };
}

export function endRun(run: Run): Exchange {
  const { calls, staff, hunts, queues, turns, timers, timersGiven, legsGiven } = run;
  return {
    calls: calls.now,
    staff: staff.now,
    hunts: hunts.now,
    queues: queues.now,
    turns: turns.now,
    timers: timers.now,
    timersGiven,
    legsGiven,
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

/** How the phone of a member stopped to ring that was not answered. */
export type Rang = Extract<TranscriptEntry, { readonly type: 'rang' }>['why'];

/** The call of a group or queue for which somebody is rung hears, as it were, that they did not answer. */
export function noteRang(run: Run, personId: PersonId, why: Rang): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'rung' || (doing.by.type !== 'group' && doing.by.type !== 'queue')) return;
  const callId = doing.by.type === 'group' ? doing.by.callId : firstOf(run, doing.by.queueId);
  const entry = { type: 'rang', atMs: run.atMs, phone: doing.leg.phone, forMs: run.atMs - doing.sinceMs, why } as const;
  if (callId) noteFor(run, callId, entry);
}

/** The call that waits longest in a queue: members are rung for it. */
export function firstOf(run: Run, queueId: QueueId): CallId | undefined {
  return lineOfQueue(run, queueId).waiting[0]?.callId;
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
  const leg = legOf(before.doing);
  if (leg && isOutside(leg.phone) && legOf(doing)?.id !== leg.id) lineFreed(run);
  if (before.doing.type === 'rung') {
    stopTimer(run, before.doing.timerId);
    if (before.doing.by.type === 'queue') run.touched.add(before.doing.by.queueId);
  }
  run.staff.set(personId, { ...before, doing });
  if (doing.type === 'nothing') run.freed.push(personId);
}

/** A phone begins to ring. */
export function newLeg(run: Run, phone: RungPhone): Leg {
  return { id: (run.legsGiven += 1), phone };
}

/** Whether one more outside phone may be rung or talked on at once. */
export function isLineFree(run: Run): boolean {
  const most = run.world.outgoing.mostAtOnce;
  let count = 0;
  for (const { outside } of run.calls.now.values()) if (outside) count += 1;
  for (const { doing } of run.staff.now.values()) {
    const leg = legOf(doing);
    if (leg && isOutside(leg.phone)) count += 1;
  }
  return count < most;
}

/** A phone is free again. Members with outside phones, for whom there was no line, may be rung now. */
export function lineFreed(run: Run): void {
  for (const [queueId, { waiting }] of run.queues.now) if (waiting.length > 0) run.touched.add(queueId);
}

export function setFree(run: Run, personId: PersonId): void {
  setDoing(run, personId, { type: 'nothing' });
}
