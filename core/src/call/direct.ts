import { isInList, type PersonId } from '../directory';
import { defaultRingSeconds } from '../line';
import { askPin } from './boxVisit';
import { endCall } from './end';
import type { DirectTo, TransferTo } from './event';
import { planOfDialled } from './group';
import { whyNotPerson } from './ringing';
import { askToSpeak } from './recorder';
import { note, type Run } from './run';
import type { Next, RingPlan } from './state';
import type { Target } from './target';

/** What a call past the attendant does first; undefined when it waits for something already. */
export function goDirectly(run: Run, to: DirectTo): Next | undefined {
  switch (to.type) {
    case 'box':
      askPin(run, to.boxId, 0);
      return undefined;
    case 'recorder':
      askToSpeak(run, to.of);
      return undefined;
    case 'colleague':
      return reachAlone(run, to.personId);
    default:
      return reach(run, to, { type: 'end', reason: 'pathRanOut' });
  }
}

/** The caller of a connected call is sent to somebody else; nobody answering there brings them back. */
export function transfer(run: Run, from: Target, to: TransferTo): Next {
  note(run, { type: 'transferred', to, by: whoIs(from) });
  const givenUp: Next =
    to.type === 'person'
      ? { type: 'unanswered', personId: to.personId, sheetId: null }
      : { type: 'end', reason: 'pathRanOut' };
  return reach(run, to, { type: 'ring', ring: planFor(from, givenUp) });
}

function reach(run: Run, to: TransferTo, otherwise: Next): Next {
  switch (to.type) {
    case 'person': {
      const target = { type: 'person', personId: to.personId } as const;
      const isBack = otherwise.type === 'ring';
      const unanswered: Next = isBack ? otherwise : { type: 'unanswered', personId: to.personId, sheetId: null };
      const why = whyNotPerson(run, run.ready.people.get(to.personId));
      if (!why) return { type: 'ring', ring: planFor(target, unanswered) };
      note(run, { type: 'notAnswered', target, why });
      return unanswered;
    }
    case 'group': {
      const group = run.ready.groups.get(to.groupId);
      if (!group) return otherwise;
      const plan = planOfDialled(group, null);
      const hasPath = plan.unanswered.type === 'path' && otherwise.type !== 'ring';
      return { type: 'ringGroup', ring: hasPath ? plan : { ...plan, unanswered: otherwise } };
    }
    case 'queue':
      return { type: 'queue', queueId: to.queueId, place: null };
  }
}

/** Rings somebody to be spoken to; nobody answering ends it. */
function reachAlone(run: Run, personId: PersonId): Next {
  const target = { type: 'person', personId } as const;
  const over: Next = { type: 'end', reason: 'pathRanOut' };
  const why = whyNotPerson(run, run.ready.people.get(personId));
  if (!why) return { type: 'ring', ring: planFor(target, over) };
  note(run, { type: 'notAnswered', target, why });
  return over;
}

/** Who of the staff somebody is; null for an outside number. */
export function whoIs(target: Target): PersonId | null {
  return target.type === 'person' ? target.personId : null;
}

function planFor(target: Target, unanswered: Next): RingPlan {
  return {
    target,
    seconds: defaultRingSeconds,
    accept: target.type === 'outside',
    hear: { type: 'ringback' },
    unanswered,
  };
}

/** Ends the call of somebody in a blocked list; whether it did. */
export function endBlocked(run: Run, callerNumber: string): boolean {
  const blockedBy = run.ready.blocked.find((list) => isInList(list, callerNumber));
  if (!blockedBy) return false;
  note(run, { type: 'blocked', callerNumber, callerListId: blockedBy.id });
  endCall(run, 'blocked');
  return true;
}
