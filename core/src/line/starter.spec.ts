import { runTrial, type CallScript, type StaffAct } from '../call';
import { proof } from '../proof';
import { closedMoment, hours, noor, office, open, openMoment, priya, zone } from '../testing/boatyard';
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
const script: CallScript = { attendant, timeZone: zone, hours, people, boxes: [office], greetings: [] };
const trial = {
  callerNumber: 'anonymous',
  caller: [],
  staff: (): StaffAct => ({ type: 'answer', afterMs: 2000, talkMs: 1000 }),
};

describe('the first attendant', () => {
  it('has no fault', () => {
    expect(proof({ attendant, hours, people, boxes: [office], greetings: [] })).toEqual([]);
    expect(
      proof({
        attendant: starterAttendant({ ...facts, people: [] }),
        hours,
        people: [],
        boxes: [office],
        greetings: [],
      }),
    ).toEqual([]);
  });

  it('lets a caller who presses nothing reach somebody when open, and leave a message when closed', () => {
    const open = runTrial(script, { ...trial, atMs: openMoment }).transcript;
    expect(open).toContainEqual(expect.objectContaining({ type: 'answered', personId: noor.id }));
    const closed = runTrial(script, { ...trial, atMs: closedMoment }).transcript;
    expect(closed).toContainEqual(expect.objectContaining({ type: 'message', boxId: office.id, kept: true }));
  });

  it('gives a key to each of the first eight people', () => {
    const many = Array.from({ length: 12 }, (_, index) => ({ ...priya, name: `Person ${index}` }));
    const [welcome] = starterAttendant({ ...facts, people: many }).sheets;
    expect(welcome?.type === 'menu' && welcome.options.map((option) => option.key).join('')).toBe('123456780');
  });
});
