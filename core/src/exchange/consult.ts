import type { PersonId } from '../directory';
import { endTalk } from './callEffects';
import { beginOwnCall } from './dial';
import type { StaffConsults } from './event';
import { staffOf, tell, type Run } from './run';
import type { LiveCall } from './state';

/** Puts the caller on hold and calls a colleague, who is told of them before they are sent on. */
export function consult(run: Run, { personId, colleague, callId, script }: StaffConsults): void {
  const { doing } = staffOf(run, personId);
  const person = run.ready.people.get(personId);
  if (doing.type !== 'talking' || !person || colleague === personId || run.calls.get(callId)) return;
  tell(run, doing.callId, { type: 'staffHeld', atMs: run.atMs, on: true });
  const to = { type: 'colleague', personId: colleague } as const;
  beginOwnCall(run, {
    personId,
    callId,
    script,
    callerNumber: person.extension,
    to,
    held: { callId: doing.callId, leg: doing.leg },
  });
}

/** Whom a call of somebody's own has reached, or rings. */
function calledBy({ talkingTo, state: { phase } }: LiveCall): PersonId | null {
  if (talkingTo) return talkingTo;
  const rings = phase.type === 'ringing' || phase.type === 'accepting';
  return rings && phase.ring.target.type === 'person' ? phase.ring.target.personId : null;
}

/** The colleague takes the caller who is on hold; while they are still being rung the caller is sent to them all the same. */
export function sendOn(run: Run, personId: PersonId): void {
  const { doing } = staffOf(run, personId);
  if (doing.type !== 'calling' || !doing.held) return;
  const [own, held] = [run.calls.get(doing.callId), run.calls.get(doing.held.callId)];
  const colleague = own && calledBy(own);
  if (!own || !held || !colleague) return;
  const to = { type: 'person', personId: colleague } as const;
  run.calls.set(held.id, { ...held, talkingTo: null, broughtBy: null, transfer: { by: personId, to } });
  endTalk(run, personId, held.broughtBy);
  // Handed on first: the colleague talks on with the phone they have in their hand.
  if (own.talkingTo) tell(run, held.id, { type: 'staffHandedOn', atMs: run.atMs, personId: colleague });
  tell(run, own.id, { type: 'callerHungUp', atMs: run.atMs });
  if (!own.talkingTo) tell(run, held.id, { type: 'staffTransferred', atMs: run.atMs, to });
}
