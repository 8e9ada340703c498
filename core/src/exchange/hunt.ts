import type { NotAnswered, RingGroup } from '../call';
import type { Group, PersonId } from '../directory';
import { freeMembers, groupNow, isWithin, longestFree, phoneOf, startingAfter, whyNobody } from './members';
import { newLeg, noteFor, setDoing, setFree, staffOf, startTimer, stopTimer, tell, type Run, noteRang } from './run';
import type { CallId, Hunt } from './state';

/** Begins to ring a group for a call. */
export function beginHunt(run: Run, callId: CallId, { ringId, groupId, seconds }: RingGroup): void {
  const group = groupNow(run, groupId);
  if (!group) return tell(run, callId, { type: 'groupUnanswered', atMs: run.atMs, ringId, why: 'deleted' });
  const inAll = seconds ?? group.inAllSeconds;
  const limit = inAll ?? (group.order === 'allAtOnce' ? group.memberSeconds : null);
  run.hunts.set(callId, {
    ringId,
    groupId,
    startAfter: run.turns.get(groupId) ?? null,
    tried: [],
    declined: [],
    tier: 0,
    rangInRound: false,
    rangAtAll: false,
    goesRound: inAll !== null,
    memberTimerId: null,
    limitTimerId: limit === null ? null : startTimer(run, { type: 'limit', callId }, limit * 1000),
  });
  if (isWithin(run, group.hoursId)) ringNext(run, callId, group);
  else giveUp(run, callId, 'closed');
}

/** The time of whoever rings is over, or they declined: on to the next. */
export function huntOn(run: Run, callId: CallId): void {
  noteAllRang(run, callId);
  const hunt = run.hunts.get(callId);
  const group = hunt && groupNow(run, hunt.groupId);
  if (!hunt) return;
  stopTimer(run, hunt.memberTimerId);
  run.hunts.set(callId, { ...hunt, memberTimerId: null });
  freeRung(run, callId);
  if (group) ringNext(run, callId, group);
  else giveUp(run, callId, 'deleted');
}

/** A member declined: others who are rung with them ring on. */
export function declineHunt(run: Run, callId: CallId, personId: PersonId): void {
  const hunt = run.hunts.get(callId);
  if (hunt) run.hunts.set(callId, { ...hunt, declined: [...hunt.declined, personId] });
  if (rungFor(run, callId).length > 0) return;
  const group = hunt && groupNow(run, hunt.groupId);
  if (group?.order === 'allAtOnce') giveUp(run, callId, 'busy');
  else huntOn(run, callId);
}

/** The time for all is over. */
export function giveUp(run: Run, callId: CallId, why: NotAnswered): void {
  noteAllRang(run, callId);
  const hunt = run.hunts.get(callId);
  if (hunt) tell(run, callId, { type: 'groupUnanswered', atMs: run.atMs, ringId: hunt.ringId, why });
}

/** The ringing is over, however it ended: nothing of it goes on. */
export function endHunt(run: Run, callId: CallId): void {
  const hunt = run.hunts.get(callId);
  if (!hunt) return;
  stopTimer(run, hunt.memberTimerId);
  stopTimer(run, hunt.limitTimerId);
  run.hunts.delete(callId);
  freeRung(run, callId);
}

/** Somebody has become free: a group that is rung all at once lets them ring along. */
export function joinHunts(run: Run, personId: PersonId): void {
  for (const [callId, hunt] of run.hunts.now) {
    const group = groupNow(run, hunt.groupId);
    if (group?.order !== 'allAtOnce' || hunt.tried.includes(personId)) continue;
    if (freeMembers(run, group).includes(personId)) ringMembers(run, callId, group, [personId]);
  }
}

function ringNext(run: Run, callId: CallId, group: Group): void {
  const hunt = run.hunts.get(callId);
  if (!hunt) return;
  const members = chosen(run, hunt, group);
  if (members.length > 0) return ringMembers(run, callId, group, members);
  if (!hunt.goesRound || !hunt.rangInRound) {
    return giveUp(run, callId, hunt.rangAtAll ? 'noAnswer' : whyNobody(run, group));
  }
  run.hunts.set(callId, { ...hunt, tried: [], tier: 0, rangInRound: false });
  ringNext(run, callId, group);
}

/** Who is rung next, in the group's order. */
function chosen(run: Run, { tried, declined, tier, startAfter }: Hunt, group: Group): readonly PersonId[] {
  const free = freeMembers(run, group).filter((each) => !tried.includes(each) && !declined.includes(each));
  switch (group.order) {
    case 'allAtOnce':
      return tried.length === 0 ? free : [];
    case 'inOrder':
    case 'onCall':
      return free.slice(0, 1);
    case 'takingTurns': {
      const all = group.members.map(({ personId }) => personId);
      return startingAfter(all, startAfter)
        .filter((personId) => free.includes(personId))
        .slice(0, 1);
    }
    case 'longestFree': {
      const longest = longestFree(run, free);
      return longest ? [longest] : [];
    }
    case 'tierByTier': {
      const tierOf = (personId: PersonId): number =>
        group.members.find((member) => member.personId === personId)?.tier ?? 0;
      const next = Math.min(...free.map(tierOf).filter((each) => each > tier));
      return free.filter((personId) => tierOf(personId) === next);
    }
  }
}

function ringMembers(run: Run, callId: CallId, group: Group, members: readonly PersonId[]): void {
  const hunt = run.hunts.get(callId);
  if (!hunt) return;
  const isFirst = !hunt.rangAtAll;
  const [first] = members;
  if (isFirst && group.order === 'takingTurns' && first) run.turns.set(group.id, first);
  const by = { type: 'group', callId, ringId: hunt.ringId, groupId: group.id } as const;
  const forMs = group.memberSeconds * 1000;
  for (const personId of members) {
    const phone = phoneOf(run, personId, group);
    if (!phone) continue;
    const { rung } = phone;
    const leg = newLeg(run, rung);
    setDoing(run, personId, { type: 'rung', by, leg, sinceMs: run.atMs, timerId: null, isAccepting: false });
    noteFor(run, callId, { type: 'ringing', atMs: run.atMs, phone: rung, forMs });
  }
  const isTimed = group.order !== 'allAtOnce';
  run.hunts.set(callId, {
    ...hunt,
    tried: [...hunt.tried, ...members],
    tier: tierOfFirst(group, first),
    rangInRound: true,
    rangAtAll: true,
    memberTimerId: isTimed ? startTimer(run, { type: 'member', callId }, forMs) : null,
  });
}

function tierOfFirst(group: Group, first: PersonId | undefined): number {
  return group.members.find(({ personId }) => personId === first)?.tier ?? 0;
}

/** Whose phones ring for a call as members of a group. */
function rungFor(run: Run, callId: CallId): readonly PersonId[] {
  const hunt = run.hunts.get(callId);
  return (hunt?.tried ?? []).filter((personId) => isRungFor(run, personId, callId));
}

function isRungFor(run: Run, personId: PersonId, callId: CallId): boolean {
  const { doing } = staffOf(run, personId);
  return doing.type === 'rung' && doing.by.type !== 'queue' && doing.by.callId === callId;
}

/** Whoever rings still for a call has let it ring. */
function noteAllRang(run: Run, callId: CallId): void {
  for (const personId of rungFor(run, callId)) noteRang(run, personId, 'letRing');
}

function freeRung(run: Run, callId: CallId): void {
  for (const [personId] of run.staff.now) if (isRungFor(run, personId, callId)) setFree(run, personId);
}
