import { applyEdit } from '../line';
import {
  attendant,
  launchQueue,
  line,
  message,
  names,
  noor,
  openMoment,
  priya,
  script,
  withAttendant,
} from '../testing/boatyard';
import { onKey1 } from '../testing/flaws';
import { holidayHours, thanksgiving } from '../testing/soundOffice';
import { firstCalls } from '.';

const office = { ...script, people: [noor, priya], lines: [{ ...line, hours: holidayHours }] };
const made = firstCalls(office, openMoment, { ...names, [thanksgiving.id]: 'Thanksgiving' });

describe('the checklist of a version', () => {
  it('begins with ringing the number, and goes through every key', () => {
    expect(made[0]).toMatchObject({
      part: 'Open',
      does: 'Ring +1 207 555 0140.',
      hears: 'You should hear: “Thank you for calling the boatyard.”',
      keys: '',
    });
    const key1 = made.find(({ part, keys }) => part === 'Open' && keys === '1');
    expect(key1?.does).toMatch(/^Press 1\.$/);
    expect(key1?.hears).toBe(
      'The phones of Priya Castellanos should ring. If nobody answers, a message for Office is taken.',
    );
    expect(made.find(({ does }) => /^Press nothing\.$/.test(does))?.hears).toMatch(/^The phones of Noor Haldane/);
  });

  it('goes through closed hours and the special dates of the coming month by the pretended clock', () => {
    expect(new Set(made.map(({ part }) => part))).toEqual(new Set(['Open', 'All other times', 'Thanksgiving']));
    const special = made.find(({ part }) => part === 'Thanksgiving');
    expect(special).toMatchObject({ reading: '2026-11-26T10:00', does: 'Ring +1 207 555 0140.' });
    expect(special?.hears).toMatch(/We are closed/);
    const later = firstCalls(office, openMoment + 40 * 86_400_000, names);
    expect(later.some(({ part }) => part === 'Thanksgiving')).toBe(false);
  });

  it('goes through the keys of a menu once, whatever leads to it', () => {
    const keys = made.filter(({ part, keys: pressed }) => part === 'Thanksgiving' && pressed !== '');
    expect(keys).toEqual([]);
    expect(made.length).toBeLessThan(15);
  });

  it('leaves a queue by its key, and fills none', () => {
    const waits = applyEdit(attendant, onKey1({ type: 'waitInQueue', queueId: launchQueue.id }, ...message));
    const calls = firstCalls(withAttendant(waits, { ...office, queues: [launchQueue] }), openMoment, names);
    const inQueue = calls.filter(({ part, keys }) => part === 'Open' && keys.startsWith('1'));
    expect(inQueue.map(({ does }) => does)).toEqual(['Press 1.', 'Press 1, then * while you wait.']);
    expect(inQueue[1]).toMatchObject({ keys: '1*', hears: expect.stringContaining('message for Office') as string });
  });

  it('tells its lines apart', () => expect(new Set(made.map(({ id }) => id)).size).toBe(made.length));
});
