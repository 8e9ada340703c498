import { runTrial, type StaffAct } from '../call';
import { closedMoment, noor, office, open, openMoment, priya, script, withAttendant } from '../testing/boatyard';
import { proofOf } from '../testing/proofOf';
import { sheetId, starterAttendant } from '.';

const people = [noor, priya];
const facts = {
  businessName: 'Larkspur Cove Boatyard',
  people,
  boxId: office.id,
  openPeriodId: open.id,
  welcomeId: sheetId.create('welcome'),
  afterHoursId: sheetId.create('afterHours'),
};
const attendant = starterAttendant(facts);
const called = withAttendant(attendant);
const trial = {
  callerNumber: 'anonymous',
  caller: [],
  staff: (): StaffAct => ({ type: 'answer', afterMs: 2000, talkMs: 1000 }),
};

describe('the first attendant', () => {
  it('has no fault', () => {
    expect(proofOf(called)).toEqual([]);
    expect(proofOf(withAttendant(starterAttendant({ ...facts, people: [] }), { ...script, people: [] }))).toEqual([]);
  });

  it('lets a caller who presses nothing reach somebody when open, and leave a message when closed', () => {
    const open = runTrial(called, { ...trial, atMs: openMoment }).transcript;
    expect(open).toContainEqual(
      expect.objectContaining({ type: 'answered', phone: { type: 'person', personId: noor.id, number: null } }),
    );
    const closed = runTrial(called, { ...trial, atMs: closedMoment }).transcript;
    expect(closed).toContainEqual(expect.objectContaining({ type: 'message', boxId: office.id, kept: true }));
  });

  it('gives a key to each of the first eight people', () => {
    const many = Array.from({ length: 12 }, (_, index) => ({ ...priya, name: `Person ${index}` }));
    const [welcome] = starterAttendant({ ...facts, people: many }).sheets;
    expect(welcome?.type === 'menu' && welcome.options.map((option) => option.key).join('')).toBe('123456780');
  });
});
