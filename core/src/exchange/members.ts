import type { RungPhone } from '../call';
import {
  memberPhone,
  membersAtWork,
  type Group,
  type GroupId,
  type Membership,
  type Person,
  type PersonId,
  type PersonPhone,
} from '../directory';
import { isWorkingAt } from '../hours';
import { membersAt } from '../rota';
import type { NotAnswered } from '../call';
import { isOutside } from './legs';
import { isLineFree, staffOf, type Run } from './run';
import type { Staff } from './state';

/** Whether hours kept by a group, a queue or a person run now; without hours, always. */
export function isWithin(run: Run, hoursId: Membership['hoursId']): boolean {
  const hours = hoursId ? run.ready.hours.get(hoursId) : undefined;
  return !hours || isWorkingAt(hours, zoneOf(run), run.atMs);
}

/** A group with its members as they are rung now: whoever is on call first, where it has a rota. */
export function groupNow(run: Run, groupId: GroupId): Group | undefined {
  const group = run.ready.groups.get(groupId);
  if (group?.order !== 'onCall') return group;
  return { ...group, members: membersAt(group, zoneOf(run), run.atMs) };
}

function zoneOf({ world }: Run): string {
  return world.lines.find(({ id }) => id === world.lineId)?.timeZone ?? 'UTC';
}

/** Members who work now, whether they are free or not. */
export function workingMembers(run: Run, membership: Membership): readonly PersonId[] {
  const personOf = (id: PersonId): Person | undefined => run.ready.people.get(id);
  return membersAtWork(membership, personOf, (hoursId) => isWithin(run, hoursId))
    .filter(({ personId, phone }) => phone.type !== 'desk' || staffOf(run, personId).presence !== 'away')
    .map(({ personId }) => personId);
}

/** Members who can be rung now, in their order. */
export function freeMembers(run: Run, membership: Membership): readonly PersonId[] {
  const free = workingMembers(run, membership).filter((personId) => isFree(run, personId));
  const isReached = (personId: PersonId): boolean => {
    const phone = phoneOf(run, personId, membership);
    return phone !== undefined && !isOutside(phone.rung);
  };
  let isFreeLine: boolean | null = null;
  return free.filter((personId) => isReached(personId) || (isFreeLine ??= isLineFree(run)));
}

/** Whether groups and queues may ring somebody: not busy, not rung, and rested. */
export function isFree(run: Run, personId: PersonId): boolean {
  return isFreeAt(staffOf(run, personId), run.atMs);
}

export function isFreeAt({ presence, doing, restUntilMs }: Staff, atMs: number): boolean {
  return presence !== 'busy' && doing.type === 'nothing' && atMs >= restUntilMs;
}

/** Why nobody of a group can be rung, when nobody can. */
export function whyNobody(run: Run, membership: Membership): NotAnswered {
  if (membership.members.length === 0) return 'nobody';
  return workingMembers(run, membership).length === 0 ? 'notWorking' : 'busy';
}

/** The very phone on which a member is rung, and what it is to the directory. */
export function phoneOf(
  run: Run,
  personId: PersonId,
  membership: Membership,
): { readonly rung: RungPhone; readonly phone: PersonPhone } | undefined {
  const person: Person | undefined = run.ready.people.get(personId);
  const phone = person && memberPhone(person, membership.ringsOn, (hoursId) => isWithin(run, hoursId));
  if (!phone) return undefined;
  return { phone, rung: { type: 'person', personId, number: phone.type === 'outside' ? phone.number : null } };
}

/** Members beginning after one of them, and round to it. */
export function startingAfter(members: readonly PersonId[], after: PersonId | null): readonly PersonId[] {
  const index = after ? members.indexOf(after) : -1;
  return [...members.slice(index + 1), ...members.slice(0, index + 1)];
}

/** Who was longest without a call; of equals the first. */
export function longestFree(run: Run, members: readonly PersonId[]): PersonId | undefined {
  return members.reduce<PersonId | undefined>(
    (best, each) => (best === undefined || staffOf(run, each).lastCallMs < staffOf(run, best).lastCallMs ? each : best),
    undefined,
  );
}
