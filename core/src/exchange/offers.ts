import type { CallEvent, EnterQueue } from '../call';
import type { PersonId, Queue, QueueId } from '../directory';
import { freeMembers, isWithin, longestFree, phoneOf, startingAfter, workingMembers } from './members';
import { legOf } from './legs';
import { lineOfQueue, newLeg, setDoing, setFree, staffOf, startTimer, tell, type Run, firstOf, noteFor } from './run';
import type { CallId, QueueLine } from './state';

/** Gives a caller a place in a queue, unless it is full, paused, closed, or nobody works. */
export function enterLine(run: Run, callId: CallId, { waitId, queueId }: EnterQueue): void {
  const queue = run.ready.queues.get(queueId);
  const line = lineOfQueue(run, queueId);
  const refuse = (why: Extract<CallEvent, { type: 'queueRefused' }>['why']): void =>
    tell(run, callId, { type: 'queueRefused', atMs: run.atMs, waitId, why });
  const why = queue && !queue.paused ? whyNotServed(run, queue) : 'nobodyWorking';
  if (!queue || why) return refuse(why ?? 'nobodyWorking');
  if (line.waiting.length >= queue.mostCallers) return refuse('full');
  run.queues.set(queueId, { ...line, waiting: [...line.waiting, { callId, waitId, sinceMs: run.atMs }] });
  run.touched.add(queueId);
  tell(run, callId, { type: 'queued', atMs: run.atMs, waitId });
}

export function leaveLine(run: Run, callId: CallId, waitId: number): void {
  for (const [queueId, line] of run.queues.now) {
    const waiting = line.waiting.filter((each) => each.callId !== callId || each.waitId !== waitId);
    if (waiting.length === line.waiting.length) continue;
    run.queues.set(queueId, { ...line, waiting });
    run.touched.add(queueId);
  }
}

/** Tells a caller how far they are, or that nobody is there any more. */
export function tellPlace(run: Run, callId: CallId, waitId: number): void {
  for (const [queueId, line] of run.queues.now) {
    const index = line.waiting.findIndex((each) => each.callId === callId && each.waitId === waitId);
    const queue = run.ready.queues.get(queueId);
    if (index === -1 || !queue) continue;
    const why = whyNotServed(run, queue);
    if (why) return tell(run, callId, { type: 'queueRefused', atMs: run.atMs, waitId, why });
    const expectedWaitMs = expectedMs(run, queue, line, index + 1);
    tell(run, callId, { type: 'placeIs', atMs: run.atMs, waitId, place: index + 1, expectedWaitMs });
  }
}

/** Callers of a queue whose members have all left are let go. */
export function dismiss(run: Run, queueId: QueueId): void {
  const queue = run.ready.queues.get(queueId);
  const why = queue ? whyNotServed(run, queue) : 'nobodyWorking';
  if (!why) return;
  for (const { callId, waitId } of lineOfQueue(run, queueId).waiting) {
    tell(run, callId, { type: 'queueRefused', atMs: run.atMs, waitId, why });
  }
}

/** Why a queue has nobody for its callers; undefined while it has. */
function whyNotServed(run: Run, queue: Queue): 'closed' | 'nobodyWorking' | undefined {
  if (!isWithin(run, queue.hoursId)) return 'closed';
  return workingMembers(run, queue).length > 0 ? undefined : 'nobodyWorking';
}

/** As many calls before this one and this one as members can take at a time, each as long as calls have been. */
function expectedMs(run: Run, queue: Queue, { talkMs }: QueueLine, place: number): number {
  return Math.round((place * (talkMs + queue.restSeconds * 1000)) / Math.max(1, workingMembers(run, queue).length));
}

/** Rings as many members as there are callers, and no more: whoever answers gets the first in line. */
export function offer(run: Run, queueId: QueueId): void {
  const queue = run.ready.queues.get(queueId);
  const { waiting } = lineOfQueue(run, queueId);
  const rung = rungBy(run, queueId);
  if (!queue || waiting.length === 0) return rung.forEach((personId) => setFree(run, personId));
  if (queue.order === 'pick') return;
  const isTogether = queue.order === 'allAtOnce' || queue.order === 'tierByTier';
  if (isTogether) return offerTogether(run, queue, rung);
  for (const personId of rung.slice(waiting.length)) setFree(run, personId);
  for (let count = rung.length; count < waiting.length; count += 1) {
    const next = nextMember(run, queue);
    if (!next) return;
    ringMember(run, queue, next);
    if (queue.order === 'takingTurns') run.turns.set(queue.id, next);
  }
}

function offerTogether(run: Run, queue: Queue, rung: readonly PersonId[]): void {
  const free = ready(run, queue);
  if (queue.order === 'allAtOnce') return free.forEach((personId) => ringMember(run, queue, personId));
  if (rung.length > 0) return;
  const tierOf = (personId: PersonId): number => queue.members.find((each) => each.personId === personId)?.tier ?? 0;
  const first = Math.min(...free.map(tierOf));
  free.filter((personId) => tierOf(personId) === first).forEach((personId) => ringMember(run, queue, personId));
}

function nextMember(run: Run, queue: Queue): PersonId | undefined {
  const free = ready(run, queue);
  switch (queue.order) {
    case 'takingTurns': {
      const all = queue.members.map(({ personId }) => personId);
      return startingAfter(all, run.turns.get(queue.id) ?? null).find((personId) => free.includes(personId));
    }
    case 'longestFree':
      return longestFree(run, free);
    default:
      return free[0];
  }
}

/** Free members who did not decline or miss a call just before. */
function ready(run: Run, queue: Queue): readonly PersonId[] {
  const { notBeforeMs } = lineOfQueue(run, queue.id);
  return freeMembers(run, queue).filter((personId) => run.atMs >= (notBeforeMs.get(personId) ?? 0));
}

function ringMember(run: Run, queue: Queue, personId: PersonId): void {
  const phone = phoneOf(run, personId, queue);
  if (!phone) return;
  const timerId = startTimer(run, { type: 'offer', personId }, queue.memberSeconds * 1000);
  const by = { type: 'queue', queueId: queue.id } as const;
  setDoing(run, personId, {
    type: 'rung',
    by,
    leg: newLeg(run, phone.rung),
    sinceMs: run.atMs,
    timerId,
    isAccepting: false,
  });
  const callId = firstOf(run, queue.id);
  const forMs = queue.memberSeconds * 1000;
  if (callId) noteFor(run, callId, { type: 'ringing', atMs: run.atMs, phone: phone.rung, forMs });
}

/** A member did not take the call that was offered: they are tried again after a while. */
export function missOffer(run: Run, personId: PersonId, queueId: QueueId): void {
  const queue = run.ready.queues.get(queueId);
  const line = lineOfQueue(run, queueId);
  const afterMs = (queue?.retrySeconds ?? 0) * 1000;
  const notBeforeMs = new Map(line.notBeforeMs).set(personId, run.atMs + afterMs);
  run.queues.set(queueId, { ...line, notBeforeMs });
  startTimer(run, { type: 'free', personId }, afterMs);
  setFree(run, personId);
}

/** Connects a member to the first in line, or to the caller they picked; false when nobody waits. */
export function takeFromLine(run: Run, personId: PersonId, queueId: QueueId, picked?: CallId): boolean {
  const queue = run.ready.queues.get(queueId);
  const { waiting } = lineOfQueue(run, queueId);
  const taken = picked ? waiting.find(({ callId }) => callId === picked) : waiting[0];
  const phone = queue && phoneOf(run, personId, queue);
  const call = taken && run.calls.get(taken.callId);
  if (!queue || !taken || !phone || !call) return false;
  run.calls.set(call.id, { ...call, broughtBy: queueId });
  const leg = legOf(staffOf(run, personId).doing) ?? newLeg(run, phone.rung);
  setDoing(run, personId, { type: 'talking', callId: call.id, leg, sinceMs: run.atMs });
  tell(run, call.id, {
    type: 'memberAnswered',
    atMs: run.atMs,
    id: taken.waitId,
    phone: leg.phone,
    holdGreetingId: queue.holdGreetingId,
  });
  return true;
}

function rungBy(run: Run, queueId: QueueId): readonly PersonId[] {
  const members = run.ready.queues.get(queueId)?.members ?? [];
  return members
    .map(({ personId }) => personId)
    .filter((personId) => {
      const { doing } = staffOf(run, personId);
      return doing.type === 'rung' && doing.by.type === 'queue' && doing.by.queueId === queueId;
    });
}

/** A call of the queue was over: what is expected of the next follows. */
export function countTalk(run: Run, queueId: QueueId, lengthMs: number): void {
  const line = lineOfQueue(run, queueId);
  run.queues.set(queueId, { ...line, talkMs: Math.round(line.talkMs * 0.8 + lengthMs * 0.2) });
}
