import { groupDefaults, groupId, personId, queueId, type Group, type Person, type PersonId } from '../directory';
import { hoursId, instantOf, periodId, type Hours } from '../hours';
import { ringDefaults, type Attendant, type Path } from '../line';
import * as boatyard from '../testing/boatyard';
import { subjectOf } from '../testing/proofOf';
import type { ProofSubject } from './rule';
import { desksOnly, reachedRings, someoneWorks, type ReachedRing } from './staffAt';

const { closedId, juno, launchQueue, moorings, noor, priya, wendell, welcomeId, zone } = boatyard;

const at = (reading: string): number => instantOf(reading, zone);
const morning = at('2026-11-23T09:00');
const evening = at('2026-11-23T19:00');

const shift: Hours = {
  id: hoursId.create('shift'),
  name: 'Evenings',
  periods: [{ id: periodId.create('shift'), name: 'Evening' }],
  week: [{ periodId: periodId.create('shift'), day: 1, startMin: 18 * 60, endMin: 22 * 60 }],
  datedWeeks: [],
  seasons: [],
  special: [],
};
const mornings: Hours = {
  ...shift,
  id: hoursId.create('mornings'),
  week: [{ ...shift.week[0]!, startMin: 480, endMin: 720 }],
};

const subject = (changes: Partial<ProofSubject> = {}): ProofSubject =>
  subjectOf(boatyard.script, {
    people: boatyard.everybody,
    groups: [moorings],
    queues: [launchQueue],
    allHours: [boatyard.hours, shift, mornings],
    ...changes,
  });
const withPeople = (...people: readonly Person[]): Partial<ProofSubject> => ({
  people: [...people, ...boatyard.everybody.filter(({ id }) => !people.some((each) => each.id === id))],
});

const ring = (id: PersonId): ReachedRing['step'] => ({ ...ringDefaults, type: 'ring', personId: id, seconds: 20 });
const ringGroup: ReachedRing['step'] = { ...ringDefaults, type: 'ringGroup', groupId: moorings.id, seconds: null };
const wait: ReachedRing['step'] = { type: 'waitInQueue', queueId: launchQueue.id };

describe('steps that ring colleagues', () => {
  const ofAfterHours = (path: Path): Attendant => ({
    ...boatyard.attendant,
    sheets: boatyard.attendant.sheets.map((sheet) =>
      sheet.id === closedId && sheet.type === 'menu' ? { ...sheet, silencePath: path } : sheet,
    ),
  });

  it('are found where they stand, with the moments at which a call may come there', () => {
    const found = reachedRings(subject());
    expect(
      found.map(({ slot, stepIndex, step }) => [slot.type, stepIndex, 'personId' in step && step.personId]),
    ).toEqual(
      expect.arrayContaining([
        ['key', 0, priya.id],
        ['silence', 0, noor.id],
      ]),
    );
    expect(found).toHaveLength(2);
    for (const { when } of found) {
      expect(when).toHaveLength(1);
      expect(when[0]?.moments.length).toBeGreaterThan(10);
      expect(when[0]?.closed).toEqual([]);
    }
  });

  it('of a menu that answers when nothing runs have moments that are all of closed hours', () => {
    const found = reachedRings(subject({ attendant: ofAfterHours([ring(noor.id), ...boatyard.message]) }));
    const late = found.find(({ slot }) => slot.type === 'silence' && slot.sheetId === closedId);
    expect(late?.when[0]?.closed).toEqual(late?.when[0]?.moments);
    expect(late?.when[0]?.closed.length).toBeGreaterThan(10);
  });

  it('are reached by each line of the answering order that leads to them', () => {
    const both: Attendant = {
      ...boatyard.attendant,
      answering: { ...boatyard.attendant.answering, otherwise: [{ type: 'goTo', sheetId: welcomeId }] },
    };
    const [first] = reachedRings(subject({ attendant: both }));
    expect(first?.when).toHaveLength(2);
    expect(first?.when.filter(({ closed }) => closed.length > 0)).toHaveLength(1);
  });

  it('are people, groups and queues, each at its place in the path, and none that can never run', () => {
    const path: Path = [
      { type: 'say', spoken: { type: 'typed', words: 'One moment.' } },
      ringGroup,
      wait,
      ...boatyard.message,
      ring(noor.id),
    ];
    const found = reachedRings(subject({ attendant: ofAfterHours(path) })).filter(
      ({ slot }) => slot.type === 'silence' && slot.sheetId === closedId,
    );
    expect(found.map(({ step, stepIndex }) => [step.type, stepIndex])).toEqual([
      ['ringGroup', 1],
      ['waitInQueue', 2],
    ]);
  });
});

describe('whether anybody whom a step rings works', () => {
  it('is so for people without hours of their own, at any moment', () => {
    expect(someoneWorks(subject(), ring(noor.id), [evening])).toBe(true);
    expect(someoneWorks(subject(), ring(noor.id), [])).toBe(false);
  });

  it('goes by their own hours, at one of the moments at least', () => {
    const late = subject(withPeople({ ...noor, hoursId: shift.id }));
    expect(someoneWorks(late, ring(noor.id), [morning])).toBe(false);
    expect(someoneWorks(late, ring(noor.id), [evening])).toBe(true);
    expect(someoneWorks(late, ring(noor.id), [morning, evening])).toBe(true);
    // Asked again, the answer is the same.
    expect(someoneWorks(late, ring(noor.id), [morning])).toBe(false);
  });

  it('takes hours that were deleted for none', () => {
    const gone = subject(withPeople({ ...noor, hoursId: hoursId.create('gone') }));
    expect(someoneWorks(gone, ring(noor.id), [evening])).toBe(true);
  });

  it('is left to other rules where nobody is rung', () => {
    expect(someoneWorks(subject(), ring(personId.create('gone')), [evening])).toBe(true);
    const empty = { ...moorings, members: [] };
    expect(someoneWorks(subject({ groups: [empty] }), ringGroup, [evening])).toBe(true);
    expect(someoneWorks(subject({ groups: [] }), ringGroup, [evening])).toBe(true);
    const other = { ...groupDefaults, id: groupId.create('other'), name: 'Other', members: [] };
    expect(someoneWorks(subject({ groups: [other, moorings] }), ringGroup, [evening])).toBe(true);
    const elsewhere: ReachedRing['step'] = { type: 'waitInQueue', queueId: queueId.create('gone') };
    expect(someoneWorks(subject(), elsewhere, [evening])).toBe(true);
  });

  describe('in a group', () => {
    const late = (who: Person): Person => ({ ...who, hoursId: shift.id });
    const group = (more: Partial<Group>): Partial<ProofSubject> => ({ groups: [{ ...moorings, ...more }] });

    it('needs one member who works then', () => {
      const people = withPeople(late(priya), wendell);
      expect(someoneWorks(subject({ ...people, ...group({ workingOnly: true }) }), ringGroup, [morning])).toBe(true);
      const all = withPeople(late(priya), late(wendell));
      expect(someoneWorks(subject({ ...all, ...group({ workingOnly: true }) }), ringGroup, [morning])).toBe(false);
      expect(someoneWorks(subject({ ...all, ...group({ workingOnly: true }) }), ringGroup, [evening])).toBe(true);
    });

    it('does not ask for members’ hours where the group rings them all', () => {
      const all = withPeople(late(priya), late(wendell));
      expect(someoneWorks(subject({ ...all, ...group({ workingOnly: false }) }), ringGroup, [morning])).toBe(true);
    });

    it('asks for the hours of the group, and of a member, at the same moment', () => {
      const people = withPeople(late(priya), late(wendell));
      const kept = group({ hoursId: mornings.id, workingOnly: true });
      expect(someoneWorks(subject({ ...people, ...kept }), ringGroup, [morning, evening])).toBe(false);
      expect(someoneWorks(subject(kept), ringGroup, [morning])).toBe(true);
      expect(someoneWorks(subject(kept), ringGroup, [evening])).toBe(false);
    });
  });

  it('goes by the hours of a queue in the same way', () => {
    const queues = [{ ...launchQueue, hoursId: mornings.id }];
    expect(someoneWorks(subject({ queues }), wait, [morning])).toBe(true);
    expect(someoneWorks(subject({ queues }), wait, [evening])).toBe(false);
  });
});

describe('whether only phones on desks ring', () => {
  it('is so for people who have no other, and keep no hours of their own', () => {
    expect(desksOnly(subject(), ring(noor.id), evening)).toBe(true);
    expect(desksOnly(subject(), ring(juno.id), evening)).toBe(false);
    const late = subject(withPeople({ ...noor, hoursId: shift.id }));
    expect(desksOnly(late, ring(noor.id), evening)).toBe(false);
    // Nor does a phone that rings only in hours of its own.
    const desk = { type: 'desk', seconds: 12, hoursId: shift.id } as const;
    expect(desksOnly(subject(withPeople({ ...noor, phones: [desk] })), ring(noor.id), evening)).toBe(false);
  });

  it('is not so where nobody is rung, or nobody works', () => {
    expect(desksOnly(subject(), ring(personId.create('gone')), evening)).toBe(false);
    const gone = { groups: [{ ...moorings, members: [{ personId: personId.create('gone'), tier: 1 }] }] };
    expect(desksOnly(subject(gone), ringGroup, evening)).toBe(false);
    const early = { groups: [{ ...moorings, hoursId: mornings.id }] };
    expect(desksOnly(subject(early), ringGroup, evening)).toBe(false);
    expect(desksOnly(subject(early), ringGroup, morning)).toBe(true);
  });

  it('goes by the phone that a group rings of each member', () => {
    const of = (ringsOn: Group['ringsOn'], ...people: readonly Person[]): ProofSubject =>
      subject({ groups: [{ ...moorings, ringsOn, members: people.map(({ id }) => ({ personId: id, tier: 1 })) }] });
    expect(desksOnly(of('desk', priya, juno), ringGroup, evening)).toBe(true);
    expect(desksOnly(of('outside', priya, juno), ringGroup, evening)).toBe(false);
    expect(desksOnly(of('outside', priya, wendell), ringGroup, evening)).toBe(true);
  });
});
