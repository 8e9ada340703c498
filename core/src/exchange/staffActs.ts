import { acceptItems, callLimits, type TransferTo, type Unreached } from '../call';
import type { PersonId } from '../directory';
import type { Key } from '../line';
import { endTalk } from './callEffects';
import { declineHunt } from './hunt';
import { isFree } from './members';
import { missOffer, takeFromLine } from './offers';
import { noteFor, setDoing, setFree, staffOf, startTimer, tell, type Run, noteRang, type Rang } from './run';
import type { CallId, Doing } from './state';
import { beginTake, missTake } from './takes';

type Rung = Extract<Doing, { type: 'rung' }>;

/** Somebody picks up the phone that rings. */
export function answerPhone(run: Run, personId: PersonId): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'rung' || doing.isAccepting) return;
  if (doing.by.type === 'call') {
    const { callId, ringId } = doing.by;
    // Whether the call asks them to press 1 shows in its next state.
    run.staff.set(personId, { ...staffOf(run, personId), doing: { ...doing, isAccepting: true } });
    return tell(run, callId, { type: 'staffAnswered', atMs: run.atMs, ringId });
  }
  if (doing.by.type === 'take') return beginTake(run, personId, doing.by, doing.leg);
  if (mustAccept(run, personId, doing)) return askToAccept(run, personId, doing);
  takeCall(run, personId, doing);
}

/** An outside phone of a member may have to be accepted with 1, like any other. */
function mustAccept(run: Run, personId: PersonId, { by, leg: { phone } }: Rung): boolean {
  if (phone.type !== 'person' || phone.number === null) return false;
  if (by.type === 'call' || by.type === 'take') return false;
  const person = run.ready.people.get(personId);
  const used = person?.phones.find((each) => each.type === 'outside' && each.number === phone.number);
  return used?.type === 'outside' && used.accept;
}

function askToAccept(run: Run, personId: PersonId, doing: Rung): void {
  const timerId = startTimer(run, { type: 'accept', personId }, callLimits.acceptWithinMs);
  setDoing(run, personId, { ...doing, timerId, isAccepting: true });
  run.effects.push({ type: 'askMember', personId, items: acceptItems(run.world) });
  if (doing.by.type === 'group') {
    noteFor(run, doing.by.callId, { type: 'askedToAccept', atMs: run.atMs, phone: doing.leg.phone });
  }
}

function takeCall(run: Run, personId: PersonId, { by, leg }: Rung): void {
  if (by.type === 'call' || by.type === 'take') return;
  if (by.type === 'queue') {
    if (!takeFromLine(run, personId, by.queueId)) setFree(run, personId);
    return;
  }
  const call = run.calls.get(by.callId);
  if (!call) return setFree(run, personId);
  run.calls.set(call.id, { ...call, broughtBy: by.groupId });
  setDoing(run, personId, { type: 'talking', callId: call.id, leg, sinceMs: run.atMs });
  const { phone } = leg;
  tell(run, call.id, { type: 'memberAnswered', atMs: run.atMs, id: by.ringId, phone, holdGreetingId: null });
}

/** A key while a call waits to be accepted, or during a call of their own. */
export function pressKey(run: Run, personId: PersonId, key: Key): void {
  const { doing } = staffOf(run, personId);
  if (doing.type === 'calling') return tell(run, doing.callId, { type: 'keyPressed', atMs: run.atMs, key });
  if (doing.type !== 'rung' || !doing.isAccepting) return;
  if (doing.by.type === 'call') return tell(run, doing.by.callId, { type: 'staffPressed', atMs: run.atMs, key });
  if (key === '1') takeCall(run, personId, doing);
}

/** They decline, do not press 1, or let the offer of a queue pass. */
export function declineCall(run: Run, personId: PersonId, why: Unreached = 'busy', rang: Rang = 'declined'): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'rung') return;
  noteRang(run, personId, rang);
  switch (doing.by.type) {
    case 'queue':
      return missOffer(run, personId, doing.by.queueId);
    case 'take':
      return missTake(run, personId, doing.by.callId);
    case 'group':
      setFree(run, personId);
      return declineHunt(run, doing.by.callId, personId);
    case 'call': {
      const { callId, ringId } = doing.by;
      if (doing.isAccepting) return tell(run, callId, { type: 'staffHungUp', atMs: run.atMs });
      return tell(run, callId, { type: 'staffBusy', atMs: run.atMs, ringId, why });
    }
  }
}

/** They put the phone down. */
export function hangUpPhone(run: Run, personId: PersonId): void {
  const { doing } = staffOf(run, personId);
  switch (doing.type) {
    case 'talking':
      return tell(run, doing.callId, { type: 'staffHungUp', atMs: run.atMs });
    case 'calling':
      return tell(run, doing.callId, { type: 'callerHungUp', atMs: run.atMs });
    case 'speaking':
      return setFree(run, personId);
    case 'rung':
      return doing.isAccepting ? declineCall(run, personId) : undefined;
    case 'nothing':
      return;
  }
}

/** Taking the caller back ends the call of a colleague that was made meanwhile. */
export function holdCall(run: Run, personId: PersonId, on: boolean): void {
  const { doing } = staffOf(run, personId);
  if (doing.type === 'calling' && doing.held && !on) {
    tell(run, doing.callId, { type: 'callerHungUp', atMs: run.atMs });
    return tell(run, doing.held.callId, { type: 'staffHeld', atMs: run.atMs, on });
  }
  if (doing.type === 'talking') tell(run, doing.callId, { type: 'staffHeld', atMs: run.atMs, on });
}

/** They send their caller to somebody else, and are free at once. */
export function transferCall(run: Run, personId: PersonId, to: TransferTo): void {
  const { doing } = staffOf(run, personId);
  const call = doing.type === 'talking' ? run.calls.get(doing.callId) : undefined;
  const isToThemselves = to.type === 'person' && to.personId === personId;
  if (!call || isToThemselves) return;
  endTalk(run, personId, call.broughtBy);
  run.calls.set(call.id, { ...call, talkingTo: null, broughtBy: null, transfer: { by: personId, to } });
  tell(run, call.id, { type: 'staffTransferred', atMs: run.atMs, to });
}

/** A member of a queue takes a waiting call themselves. */
export function pickCall(run: Run, personId: PersonId, callId: CallId): void {
  if (!isFree(run, personId)) return;
  for (const [queueId, { waiting }] of run.queues.now) {
    const isMember = run.ready.queues.get(queueId)?.members.some((member) => member.personId === personId);
    if (!isMember || !waiting.some((each) => each.callId === callId)) continue;
    takeFromLine(run, personId, queueId, callId);
    return;
  }
}
