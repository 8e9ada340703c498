import { beginOwnCall } from './dial';
import type { TakeAsked, TakeGivenUp } from './event';
import { newLeg, setDoing, setFree, staffOf, startTimer, tell, type Run } from './run';
import type { CallId, Leg, RungBy } from './state';
import type { PersonId } from '../directory';

/** How long a desk phone rings to record a greeting with it. */
const ringMs = 30_000;

/** Rings somebody's desk phone to record a greeting with it, unless it is in use. */
export function askForTake(run: Run, { personId, callId, script, of }: TakeAsked): void {
  const isThere = run.ready.people.has(personId) && staffOf(run, personId).doing.type === 'nothing';
  if (!isThere) return refuse(run, callId, 'inUse');
  setDoing(run, personId, {
    type: 'rung',
    by: { type: 'take', callId, script, of },
    leg: newLeg(run, { type: 'person', personId, number: null }),
    sinceMs: run.atMs,
    timerId: startTimer(run, { type: 'offer', personId }, ringMs),
    isAccepting: false,
  });
}

/** They answered: the call is their own from here on. */
export function beginTake(run: Run, personId: PersonId, by: Extract<RungBy, { type: 'take' }>, leg: Leg): void {
  const { callId, script, of } = by;
  const callerNumber = run.ready.people.get(personId)?.extension ?? '';
  beginOwnCall(run, { personId, callId, script, callerNumber, to: { type: 'recorder', of }, leg });
}

/** They declined, or did not answer in time. */
export function missTake(run: Run, personId: PersonId, callId: CallId): void {
  setFree(run, personId);
  refuse(run, callId, 'noAnswer');
}

export function giveUpTake(run: Run, { personId, callId }: TakeGivenUp): void {
  const { doing } = staffOf(run, personId);
  if (doing.type === 'rung' && doing.by.type === 'take' && doing.by.callId === callId) return setFree(run, personId);
  tell(run, callId, { type: 'callerHungUp', atMs: run.atMs });
}

function refuse(run: Run, callId: CallId, why: 'inUse' | 'noAnswer'): void {
  run.effects.push({ type: 'takeUnanswered', callId, why });
}
