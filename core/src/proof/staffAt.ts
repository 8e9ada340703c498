import { memberPhone, type Group, type Person, type Queue } from '../directory';
import { isWorkingAt, type Hours, type HoursId } from '../hours';
import { pathGraph, reachedIn, stepsThatRun, type PathGraph, type PlacedPath, type Slot, type Step } from '../line';
import { answeringMoments, type AnsweringAt } from './moments';
import { zoneOf } from './facts';
import { peopleById } from './people';
import { remember, rememberBy } from './remember';
import type { ProofSubject } from './rule';

/** What rings somebody on a path, and when a call may come there. */
export interface ReachedRing {
  readonly slot: Slot;
  readonly stepIndex: number;
  readonly step: Extract<Step, { type: 'ring' | 'ringGroup' | 'waitInQueue' }>;
  /** By whatever answers: the moments at which a call may come there, and those of them at which nothing runs. */
  readonly when: readonly Pick<AnsweringAt, 'moments' | 'closed'>[];
}

/** Every step that rings colleagues, with the moments of the weeks ahead at which a call may come to it. */
export function reachedRings(subject: ProofSubject): readonly ReachedRing[] {
  return ringsReached(pathGraph(subject.attendant), answeringMoments(subject));
}

const ringsReached = remember((graph: PathGraph, answering: readonly AnsweringAt[]): readonly ReachedRing[] => {
  const reached = new Map<PlacedPath, AnsweringAt[]>();
  for (const each of answering) {
    for (const placed of reachedIn(graph, [each.slot])) {
      const known = reached.get(placed);
      if (known) known.push(each);
      else reached.set(placed, [each]);
    }
  }
  return [...reached].flatMap(([{ slot, path }, when]) =>
    stepsThatRun(path).flatMap((step, stepIndex): ReachedRing[] =>
      step.type === 'ring' || step.type === 'ringGroup' || step.type === 'waitInQueue'
        ? [{ slot, stepIndex, step, when }]
        : [],
    ),
  );
});

/** Whether anybody whom a step rings works at one of some moments. */
export function someoneWorks(subject: ProofSubject, step: ReachedRing['step'], moments: readonly number[]): boolean {
  const rung = rungBy(subject, step);
  if (!rung) return true;
  const { line, allHours } = subject;
  const keeps = (hoursId: HoursId | null, atMs: number): boolean => {
    const hours = hoursId && allHours.find(({ id }) => id === hoursId);
    return !hours || isWorking(hours, zoneOf(line), atMs);
  };
  return moments.some((atMs) => keeps(rung.hoursId, atMs) && rung.people.some(({ hoursId }) => keeps(hoursId, atMs)));
}

const isWorking = rememberByMoment();

/** Whether somebody works at a moment is asked for many people who keep the same hours. */
function rememberByMoment(): (hours: Hours, zone: string, atMs: number) => boolean {
  const tableOf = rememberBy((hours: Hours, zone: string) => ({ hours, zone, known: new Map<number, boolean>() }));
  return (hours, zone, atMs) => {
    const { known } = tableOf(hours, zone);
    const before = known.get(atMs);
    if (before !== undefined) return before;
    const works = isWorkingAt(hours, zone, atMs);
    known.set(atMs, works);
    return works;
  };
}

/** Those of whom a step rings only a phone on a desk, at a moment, as far as they work then. */
export function desksOnly(subject: ProofSubject, step: ReachedRing['step'], atMs: number): boolean {
  const rung = rungBy(subject, step);
  if (!rung || rung.people.length === 0 || !someoneWorks(subject, step, [atMs])) return false;
  return rung.people.every((person) => {
    const phones = rung.on === null ? person.phones : [memberPhone(person, rung.on)];
    return phones.every((phone) => phone?.type !== 'outside') && person.hoursId === null;
  });
}

interface Rung {
  readonly hoursId: HoursId | null;
  readonly people: readonly Pick<Person, 'phones' | 'hoursId'>[];
  /** On which of their phones; null for all, in their order. */
  readonly on: Group['ringsOn'] | null;
}

function rungBy(subject: ProofSubject, step: ReachedRing['step']): Rung | undefined {
  const people = peopleById(subject.people);
  if (step.type === 'ring') {
    const person = people.get(step.personId);
    return person && { hoursId: null, people: [person], on: null };
  }
  const all: readonly (Group | Queue)[] = step.type === 'ringGroup' ? subject.groups : subject.queues;
  const id = step.type === 'ringGroup' ? step.groupId : step.queueId;
  const group = all.find((each) => each.id === id);
  if (!group || group.members.length === 0) return undefined;
  const members = group.members.flatMap(({ personId }) => people.get(personId) ?? []);
  const kept = group.workingOnly ? members : members.map(({ phones }) => ({ phones, hoursId: null }));
  return { hoursId: group.hoursId, people: kept, on: group.ringsOn };
}
