import { membersAtWork, type Group, type Queue } from '../../directory';
import { weekdays, type Hours, type WeekSpan, type Weekday } from '../../hours';
import { peopleById } from '../people';
import type { Found, ProofSubject, Rule } from '../rule';
import { reachedRings, type ReachedRing } from '../staffAt';

/** A group or queue of which most members are away most of its hours, by the regular weeks. */
export const mostlyAway: Rule<'mostlyAway'> = {
  name: 'mostlyAway',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => {
    const rung = new Set(reachedRings(subject).flatMap(({ step }) => idOf(step, subject) ?? []));
    return [...subject.groups, ...subject.queues]
      .filter(({ id, members, workingOnly }) => rung.has(id) && members.length > 1 && workingOnly)
      .flatMap((each): Found[] => {
        const { inAll, away, nobody } = hoursAway(each, subject);
        // That nobody ever works is told where they are rung.
        if (away * 2 <= inAll || nobody === inAll) return [];
        return [{ at: { type: 'row', id: each.id }, facts: { away: hoursOf(away), inAll: hoursOf(inAll) } }];
      });
  },
};

function idOf(step: ReachedRing['step'], { line }: ProofSubject): string | null {
  if (step.type === 'ringGroup') return step.groupId;
  if (step.type === 'waitInQueue') return step.queueId;
  return step.type === 'ringOperator' ? line.operatorId : null;
}

const stepMin = 30;
const dayMin = 1440;
const hoursOf = (steps: number): number => Math.round((steps * stepMin) / 60);

/** Half hours of a week: all of its hours, those in which most are away, and those in which everybody is. */
function hoursAway(of: Group | Queue, subject: ProofSubject): { inAll: number; away: number; nobody: number } {
  const { allHours, people } = subject;
  const known = new Map(allHours.map((hours) => [hours.id, hours]));
  const byId = peopleById(people);
  const counted = { inAll: 0, away: 0, nobody: 0 };
  for (const day of weekdays) {
    for (let minute = 0; minute < dayMin; minute += stepMin) {
      const at = minute + stepMin / 2;
      if (!isOpen(of, subject, known, day, at)) continue;
      const keeps = (hoursId: Hours['id']): boolean => {
        const hours = known.get(hoursId);
        return !hours || runs(hours.week, day, at);
      };
      const atWork = membersAtWork({ ...of, hoursId: null }, (id) => byId.get(id), keeps).length;
      counted.inAll += 1;
      if (atWork * 2 < of.members.length) counted.away += 1;
      if (atWork === 0) counted.nobody += 1;
    }
  }
  return counted;
}

/** Within its own hours; where it has none, while the business is open. */
function isOpen(
  { hoursId }: Group | Queue,
  { hours }: ProofSubject,
  known: ReadonlyMap<string, Hours>,
  day: Weekday,
  at: number,
): boolean {
  const own = hoursId && known.get(hoursId);
  if (own) return runs(own.week, day, at);
  const first = hours.periods[0]?.id;
  return runs(
    hours.week.filter(({ periodId }) => periodId === first),
    day,
    at,
  );
}

/** Whether a span runs, one from the evening before included. */
function runs(week: readonly WeekSpan[], day: Weekday, minute: number): boolean {
  const before = day === 1 ? 7 : day - 1;
  return week.some(
    (span) =>
      (span.day === day && minute >= span.startMin && minute < span.endMin) ||
      (span.day === before && minute + dayMin < span.endMin),
  );
}
