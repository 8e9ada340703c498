import type { CallEffect, HandOver, Ring, RungPhone } from '../call';
import type { GroupId, PersonId, QueueId } from '../directory';
import { beginHunt, endHunt } from './hunt';
import { countTalk, enterLine, leaveLine, tellPlace } from './offers';
import { isOutside, legOf } from './legs';
import { isLineFree, lineFreed, newLeg, setDoing, setFree, staffOf, startTimer, tell, type Run } from './run';
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
      return connect(run, callId, effect.phone);
    case 'handOver':
      return ringHandOver(run, callId, effect);
    case 'stopHandOver':
      return endOutside(run, callId);
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
  if (phone.type === 'outside') return ringOutside(run, callId, ringId, phone);
  const { presence, doing } = staffOf(run, phone.personId);
  const isAway = presence === 'away' && phone.number === null;
  if (presence === 'busy' || isAway || doing.type !== 'nothing') {
    return tell(run, callId, { type: 'staffBusy', atMs: run.atMs, ringId, why: isAway ? 'away' : 'busy' });
  }
  if (isOutside(phone) && !isLineFree(run)) {
    return tell(run, callId, { type: 'staffBusy', atMs: run.atMs, ringId, why: 'noLineFree' });
  }
  setDoing(run, phone.personId, {
    type: 'rung',
    by: { type: 'call', callId, ringId },
    leg: newLeg(run, phone),
    sinceMs: run.atMs,
    timerId: null,
    isAccepting: false,
  });
}

function ringOutside(run: Run, callId: CallId, ringId: number, phone: RungPhone): void {
  const call = run.calls.get(callId);
  if (!call) return;
  if (isLineFree(run)) run.calls.set(callId, { ...call, outside: newLeg(run, phone) });
  else tell(run, callId, { type: 'staffBusy', atMs: run.atMs, ringId, why: 'noLineFree' });
}

function ringHandOver(run: Run, callId: CallId, { handOverId, target }: HandOver): void {
  const call = run.calls.get(callId);
  if (!call) return;
  if (isLineFree(run)) run.calls.set(callId, { ...call, outside: newLeg(run, target) });
  else tell(run, callId, { type: 'handOverFailed', atMs: run.atMs, handOverId, why: 'noLineFree' });
}

function endOutside(run: Run, callId: CallId): void {
  const call = run.calls.get(callId);
  if (!call?.outside) return;
  run.calls.set(callId, { ...call, outside: null });
  lineFreed(run);
}

function stopRinging(run: Run, callId: CallId, ringId: number): void {
  if (run.hunts.get(callId)?.ringId === ringId) endHunt(run, callId);
  for (const [personId, { doing }] of run.staff.now) {
    const isIt = doing.type === 'rung' && doing.by.type === 'call' && doing.by.callId === callId;
    if (isIt && doing.by.ringId === ringId) setFree(run, personId);
  }
  const phase = run.calls.get(callId)?.state.phase;
  // The one who answered is talked to on the phone that rang.
  if (phase?.type !== 'connected') endOutside(run, callId);
}

/** The phone that rang, or that they talk on already, is the one that the caller is connected to. */
function connect(run: Run, callId: CallId, phone: RungPhone): void {
  const call = run.calls.get(callId);
  if (!call || phone.type === 'outside') return;
  const { personId } = phone;
  run.calls.set(callId, { ...call, talkingTo: personId });
  const leg = legOf(staffOf(run, personId).doing) ?? newLeg(run, phone);
  setDoing(run, personId, { type: 'talking', callId, leg, sinceMs: run.atMs });
}

/** The call is over: whoever was on it is free, after a rest where their group or queue gives one. */
function dropCall(run: Run, callId: CallId): void {
  const call = run.calls.get(callId);
  if (!call) return;
  run.calls.delete(callId);
  if (call.outside) lineFreed(run);
  if (call.talkingTo) endTalkOf(run, call.talkingTo, callId, call.broughtBy);
  if (call.staffCaller) endOwnCall(run, call.staffCaller, callId);
}

/** A caller who was on hold while a colleague was called has gone: that call goes on. */
function endTalkOf(run: Run, personId: PersonId, callId: CallId, broughtBy: GroupId | QueueId | null): void {
  const { doing } = staffOf(run, personId);
  // They talk to somebody else by now, as when a caller was sent on to them.
  if (doing.type === 'talking' && doing.callId !== callId) return;
  if (doing.type !== 'calling' || doing.held?.callId !== callId) return endTalk(run, personId, broughtBy);
  setDoing(run, personId, { ...doing, held: null });
}

/** A call of somebody's own is over: they are free, or back with the caller whom they had put on hold. */
function endOwnCall(run: Run, personId: PersonId, callId: CallId): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'calling' || doing.callId !== callId) return;
  const held = doing.held && run.calls.get(doing.held.callId);
  if (!doing.held || held?.talkingTo !== personId) return setFree(run, personId);
  setDoing(run, personId, { type: 'talking', callId: held.id, leg: doing.held.leg, sinceMs: held.sinceMs });
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
