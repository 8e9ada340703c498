import type { CallEffect, Ring } from '../call';
import type { GroupId, PersonId, QueueId } from '../directory';
import { beginHunt, endHunt } from './hunt';
import { countTalk, enterLine, leaveLine, tellPlace } from './offers';
import { setDoing, setFree, staffOf, startTimer, tell, type Run } from './run';
import type { CallId } from './state';

/** What an effect of one call means for the people it shares with others. */
export function reactTo(run: Run, callId: CallId, effect: CallEffect): void {
  switch (effect.type) {
    case 'ring':
      return ringPhone(run, callId, effect);
    case 'ringGroup':
      return beginHunt(run, callId, effect);
    case 'stopRinging':
      return stopRinging(run, callId, effect.ringId);
    case 'connect':
      if (effect.phone.type === 'person') connect(run, callId, effect.phone.personId);
      return;
    case 'enterQueue':
      return enterLine(run, callId, effect);
    case 'leaveQueue':
      return leaveLine(run, callId, effect.waitId);
    case 'askPlace':
      return tellPlace(run, callId, effect.waitId);
    case 'hangUp':
      return dropCall(run, callId);
    default:
      return;
  }
}

/** Rings somebody by name. Whoever is on a call, is rung already or says they are busy is not rung. */
function ringPhone(run: Run, callId: CallId, { ringId, phone }: Ring): void {
  if (phone.type !== 'person') return;
  const { presence, doing } = staffOf(run, phone.personId);
  const isAway = presence === 'away' && phone.number === null;
  if (presence === 'busy' || isAway || doing.type !== 'nothing') {
    return tell(run, callId, { type: 'staffBusy', atMs: run.atMs, ringId, why: isAway ? 'away' : 'busy' });
  }
  setDoing(run, phone.personId, {
    type: 'rung',
    by: { type: 'call', callId, ringId },
    phone,
    sinceMs: run.atMs,
    timerId: null,
    isAccepting: false,
  });
}

function stopRinging(run: Run, callId: CallId, ringId: number): void {
  if (run.hunts.get(callId)?.ringId === ringId) endHunt(run, callId);
  for (const [personId, { doing }] of run.staff.now) {
    const isIt = doing.type === 'rung' && doing.by.type === 'call' && doing.by.callId === callId;
    if (isIt && doing.by.ringId === ringId) setFree(run, personId);
  }
}

function connect(run: Run, callId: CallId, personId: PersonId): void {
  const call = run.calls.get(callId);
  if (!call) return;
  run.calls.set(callId, { ...call, talkingTo: personId });
  setDoing(run, personId, { type: 'talking', callId, sinceMs: run.atMs });
}

/** The call is over: whoever was on it is free, after a rest where their group or queue gives one. */
function dropCall(run: Run, callId: CallId): void {
  const call = run.calls.get(callId);
  if (!call) return;
  run.calls.delete(callId);
  if (call.talkingTo) endTalkOf(run, call.talkingTo, callId, call.broughtBy);
  if (call.staffCaller) endOwnCall(run, call.staffCaller, callId);
}

/** A caller who was on hold while a colleague was called has gone: that call goes on. */
function endTalkOf(run: Run, personId: PersonId, callId: CallId, broughtBy: GroupId | QueueId | null): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'calling' || doing.held !== callId) return endTalk(run, personId, broughtBy);
  setDoing(run, personId, { ...doing, held: null });
}

/** A call of somebody's own is over: they are free, or back with the caller whom they had put on hold. */
function endOwnCall(run: Run, personId: PersonId, callId: CallId): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'calling' || doing.callId !== callId) return;
  const held = doing.held && run.calls.get(doing.held);
  if (!held || held.talkingTo !== personId) return setFree(run, personId);
  setDoing(run, personId, { type: 'talking', callId: held.id, sinceMs: held.sinceMs });
}

/** Somebody's call is over for them. */
export function endTalk(run: Run, personId: PersonId, broughtBy: GroupId | QueueId | null): void {
  const before = staffOf(run, personId);
  const restMs = restSecondsOf(run, broughtBy) * 1000;
  if (restMs > 0) startTimer(run, { type: 'free', personId }, restMs);
  run.staff.set(personId, { ...before, lastCallMs: run.atMs, restUntilMs: run.atMs + restMs });
  setFree(run, personId);
  const queue = broughtBy ? run.ready.queues.get(broughtBy) : undefined;
  if (queue && before.doing.type === 'talking') countTalk(run, queue.id, run.atMs - before.doing.sinceMs);
}

function restSecondsOf(run: Run, broughtBy: GroupId | QueueId | null): number {
  if (!broughtBy) return 0;
  return (run.ready.groups.get(broughtBy) ?? run.ready.queues.get(broughtBy))?.restSeconds ?? 0;
}
