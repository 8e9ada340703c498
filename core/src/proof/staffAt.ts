import { membersAtWork, phonesRung, works, type Group, type PersonPhone, type Queue } from '../directory';
import { isWorkingAt, type Hours, type HoursId } from '../hours';
import { membersAt } from '../rota';
import { slotKey, type Slot, type Step } from '../line';
import { callsOf, choicesIn, type Calls } from './calls';
import type { AnsweringAt } from './moments';
import { zoneOf } from './facts';
import { peopleById } from './people';
import { rememberBy } from './remember';
import type { ProofSubject } from './rule';

/** Who is there, and when. */
export type Staff = Pick<ProofSubject, 'people' | 'groups' | 'queues' | 'line' | 'allHours'>;

/** What rings somebody on a path, and when a call may come there. */
export interface ReachedRing {
  readonly slot: Slot;
  readonly stepIndex: number;
  readonly step: Extract<Step, { type: 'ring' | 'ringOperator' | 'ringGroup' | 'waitInQueue' }>;
  /** By whatever answers: the moments at which a call may come there, and those of them at which nothing runs. */
  readonly when: readonly Pick<AnsweringAt, 'moments' | 'usual' | 'closed'>[];
}

/** Every step that rings colleagues, with the moments of the weeks ahead at which a call may come to it. */
export function reachedRings(subject: ProofSubject): readonly ReachedRing[] {
  return ringsReached(callsOf(subject));
}

/** The same, of calls that were tried out already. */
export const ringsReached = rememberBy(({ answered, listed }: Calls): readonly ReachedRing[] => {
  const reached = new Map<string, ReachedRing>();
  // Callers on a list may call at any time.
  const always = {
    moments: answered.flatMap(({ moments }) => moments),
    usual: answered.flatMap(({ usual }) => usual),
    closed: answered.flatMap(({ closed }) => closed),
  };
  for (const { moments, usual, closed, reach } of [...answered, ...listed.map((reach) => ({ ...always, reach }))]) {
    const met = new Set<string>();
    for (const { slot, stepIndex, step } of choicesIn(reach).flatMap(({ leg }) => leg.steps)) {
      if (!isRinging(step)) continue;
      const key = `${slotKey(slot)} ${stepIndex}`;
      if (met.has(key)) continue;
      met.add(key);
      reached.set(key, {
        slot,
        stepIndex,
        step,
        when: [...(reached.get(key)?.when ?? []), { moments, usual, closed }],
      });
    }
  }
  return [...reached.values()];
});

const isRinging = (step: Step): step is ReachedRing['step'] =>
  ['ring', 'ringOperator', 'ringGroup', 'waitInQueue'].includes(step.type);

/** Whether anybody whom a step rings works at one of some moments; a step that rings nobody at all is another matter. */
export function someoneWorks(subject: Staff, step: ReachedRing['step'], moments: readonly number[]): boolean {
  return moments.some((atMs) => rungAt(subject, step, atMs)?.length !== 0);
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

/** Whether all whom a step rings at a moment are rung on the phone on their desk, and keep no hours of their own. */
export function desksOnly(subject: Staff, step: ReachedRing['step'], atMs: number): boolean {
  const rung = rungAt(subject, step, atMs) ?? [];
  return rung.length > 0 && rung.every(({ phones, hoursId }) => hoursId === null && phones.every(isOnDesk));
}

const isOnDesk = ({ type, hoursId }: PersonPhone): boolean => type === 'desk' && !hoursId;

interface Rung {
  readonly phones: readonly PersonPhone[];
  /** The hours that decide whether they are rung. */
  readonly hoursId: HoursId | null;
}

/** Whom a step rings at a moment; undefined when it is for nobody that there is. */
function rungAt(subject: Staff, step: ReachedRing['step'], atMs: number): readonly Rung[] | undefined {
  const people = peopleById(subject.people);
  const { line, allHours } = subject;
  const keeps = (hoursId: HoursId): boolean => {
    const hours = allHours.find(({ id }) => id === hoursId);
    return !hours || isWorking(hours, zoneOf(line), atMs);
  };
  const personId = step.type === 'ring' ? step.personId : step.type === 'ringOperator' ? line.operatorId : null;
  const person = personId ? people.get(personId) : undefined;
  if (person || step.type === 'ring') {
    const phones = person && phonesRung(person, step.type === 'ring' && step.onCall, keeps);
    return person && phones && (works(person, keeps) && phones.length > 0 ? [{ phones, hoursId: person.hoursId }] : []);
  }
  const all: readonly (Group | Queue)[] = step.type === 'waitInQueue' ? subject.queues : subject.groups;
  const id = step.type === 'ringGroup' ? step.groupId : step.type === 'waitInQueue' ? step.queueId : line.operatorId;
  const group = all.find((each) => each.id === id);
  if (!group || group.members.length === 0) return undefined;
  const rung = 'rota' in group ? { ...group, members: membersAt(group, zoneOf(line), atMs) } : group;
  const atWork = membersAtWork(rung, (personId) => people.get(personId), keeps);
  return atWork.map(({ person, phone }) => ({ phones: [phone], hoursId: group.workingOnly ? person.hoursId : null }));
}
