import { membersAtWork, type Group, type Queue } from '../../directory';
import { isWorkingAt, readDate, runningAt, wallInstant, type Hours } from '../../hours';
import { callsOf, type Calls } from '../calls';
import { zoneOf } from '../facts';
import { peopleById } from '../people';
import { regularly } from '../regularly';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { ringsReached, type ReachedRing } from '../staffAt';

/** A group or queue of which most members are away most of its hours, by the regular week. */
export const mostlyAway: Rule<'mostlyAway'> = {
  name: 'mostlyAway',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => away(callsOf(subject), readDate(subject.today) ?? 0),
};

const away = rememberBy((calls: Calls, today: number): readonly Found[] => {
  const { parts } = calls;
  const rung = new Set(ringsReached(calls).flatMap(({ step }) => idOf(step, parts) ?? []));
  return (
    [...parts.groups, ...parts.queues]
      // Of those on call most are away by intent.
      .filter(
        ({ id, members, workingOnly, order }) =>
          rung.has(id) && members.length > 1 && workingOnly && order !== 'onCall',
      )
      .flatMap((each): Found[] => {
        const { inAll, mostly, nobody } = stepsAway(each, parts, today);
        // That nobody ever works is told where they are rung.
        if (mostly * 2 <= inAll || nobody === inAll) return [];
        return [{ at: { type: 'row', id: each.id }, facts: { away: hoursOf(mostly), inAll: hoursOf(inAll) } }];
      })
  );
});

function idOf(step: ReachedRing['step'], { line }: Calls['parts']): string | null {
  if (step.type === 'ringGroup') return step.groupId;
  if (step.type === 'waitInQueue') return step.queueId;
  return step.type === 'ringOperator' ? line.operatorId : null;
}

const stepMin = 30;
const weekSteps = (7 * 1440) / stepMin;
const hoursOf = (steps: number): number => Math.round((steps * stepMin) / 60);

/** Half hours of a week: all of its hours, those in which most members are away, and those in which everybody is. */
function stepsAway(of: Group | Queue, parts: Calls['parts'], today: number) {
  const zone = zoneOf(parts.line);
  const known = new Map(parts.allHours.map((hours) => [hours.id, regularly(hours)]));
  const own = of.hoursId ? known.get(of.hoursId) : undefined;
  const byId = peopleById(parts.people);
  const counted = { inAll: 0, mostly: 0, nobody: 0 };
  for (let step = 0; step < weekSteps; step += 1) {
    const minute = step * stepMin + stepMin / 2;
    const atMs = wallInstant(zone, today + Math.floor(minute / 1440), minute % 1440);
    // Within its own hours; where it has none, while the business is open.
    if (own ? !isWorkingAt(own, zone, atMs) : !isOpenAt(regularly(parts.hours), zone, atMs)) continue;
    const keeps = (hoursId: Hours['id']): boolean => {
      const hours = known.get(hoursId);
      return !hours || isWorkingAt(hours, zone, atMs);
    };
    const atWork = membersAtWork({ ...of, hoursId: null }, (id) => byId.get(id), keeps).length;
    counted.inAll += 1;
    if (atWork * 2 < of.members.length) counted.mostly += 1;
    if (atWork === 0) counted.nobody += 1;
  }
  return counted;
}

/** Whether the first period, such as Open, runs. */
function isOpenAt(hours: Hours, zone: ReturnType<typeof zoneOf>, atMs: number): boolean {
  return runningAt(hours, zone, atMs).spans.some(({ periodId }) => periodId === hours.periods[0]?.id);
}
