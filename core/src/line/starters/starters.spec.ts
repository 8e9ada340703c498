import type { CallScript } from '../../call';
import { runTrial, type StaffAct } from '../../exchange';
import { closedMoment, everybody, noor, office, open, openMoment, priya, withAttendant } from '../../testing/boatyard';
import { proofOf } from '../../testing/proofOf';
import { namedPathId, sheetId, starterIds, starters, usesOf, type StarterFacts, type StarterId } from '..';

const facts: StarterFacts = {
  businessName: 'Larkspur Cove Boatyard',
  people: [noor, priya],
  isInOrder: true,
  boxId: office.id,
  openPeriodId: open.id,
  sheetId: (hint) => sheetId.create(hint),
  pathId: (hint) => namedPathId.create(hint),
};
/** The line as called, whose operator is the first of the people. */
const called = (id: StarterId, people = everybody): CallScript => {
  const script = withAttendant(starters[id].make({ ...facts, people }));
  const operatorId = people[0]?.id ?? null;
  return { ...script, people, lines: script.lines.map((line) => ({ ...line, operatorId })) };
};
const answers: StaffAct = { type: 'answer', afterMs: 2000, talkMs: 1000 };
const trial = { callerNumber: 'anonymous', caller: [], staff: () => answers };

describe.each(starterIds)('the starter %s', (id) => {
  it.each([1, 2, 5])('has neither fault nor caution with %i people, and no sheet that nothing leads to', (count) => {
    const by = called(id, everybody.slice(0, count));
    const findings = proofOf(by, { boxes: [{ ...office, ownerId: noor.id }] });
    expect(findings.filter(({ grade }) => grade !== 'tip')).toEqual([]);
    const attendant = starters[id].make({ ...facts, people: by.people });
    expect(attendant.sheets.filter((sheet) => usesOf(attendant, sheet.id).length === 0)).toEqual([]);
  });

  it('has no fault before anybody is in the directory', () => {
    expect(proofOf(called(id, [])).filter(({ grade }) => grade === 'fault')).toEqual([]);
  });

  it('lets a caller who presses nothing reach somebody when open, and leave a message when closed', () => {
    const { transcript } = runTrial(called(id), { ...trial, atMs: openMoment });
    expect(transcript).toContainEqual(
      expect.objectContaining({ type: 'answered', phone: { type: 'person', personId: noor.id, number: null } }),
    );
    const closed = runTrial(called(id), { ...trial, atMs: closedMoment }).transcript;
    expect(closed).toContainEqual(expect.objectContaining({ type: 'message', boxId: office.id, kept: true }));
  });

  it('answers at all hours where the hours have no period', () => {
    const attendant = starters[id].make({ ...facts, openPeriodId: null });
    const by = called(id);
    const lines = by.lines.map((line) => ({ ...line, attendant }));
    const { transcript } = runTrial({ ...by, lines }, { ...trial, atMs: closedMoment });
    expect(transcript).toContainEqual(expect.objectContaining({ type: 'answered' }));
  });

  it('reaches everybody in the directory somehow when there are few', () => {
    const two = [noor, priya];
    const attendant = starters[id].make({ ...facts, people: two });
    const isOperator = ({ id: personId }: (typeof two)[number]): boolean => personId === noor.id;
    const reached = two.filter((person) => isOperator(person) || usesOf(attendant, person.id).length > 0);
    expect(reached).toHaveLength(id === 'onePerson' ? 1 : 2);
  });
});

describe('where nobody said who does what', () => {
  it.each(['workshop', 'shop', 'clinic', 'office'] as const)(
    '%s rings the operator, and nobody by the alphabet',
    (id) => {
      const attendant = starters[id].make({ ...facts, people: everybody, isInOrder: false });
      expect(everybody.filter((person) => usesOf(attendant, person.id).length > 0)).toEqual([]);
      const operatorId = noor.id;
      const by = withAttendant(attendant);
      const script = { ...by, lines: by.lines.map((line) => ({ ...line, operatorId })) };
      expect(proofOf(script).filter(({ grade }) => grade === 'fault')).toEqual([]);
    },
  );
});

describe('a key for each person', () => {
  it('is given to the first eight', () => {
    const many = Array.from({ length: 12 }, (_, index) => ({ ...priya, name: `Person ${index}` }));
    const [welcome] = starters.people.make({ ...facts, people: many }).sheets;
    expect(welcome?.type === 'menu' && welcome.options.map((option) => option.key).join('')).toBe('1234567890');
  });
});
