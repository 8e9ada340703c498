import { instantOf } from '../hours';
import { hours, openMoment, zone } from '../testing/boatyard';
import { quietestHours } from './quietest';

const at = (reading: string): number => instantOf(reading, zone);
/** One call in every hour of four weeks, but for Tuesdays at three in the morning and at four in the afternoon. */
const calls = Array.from({ length: 4 * 7 * 24 }, (_, index) => openMoment - (index + 1) * 3_600_000).filter((atMs) => {
  const read = new Intl.DateTimeFormat('en-US', {
    timeZone: zone,
    weekday: 'short',
    hour: 'numeric',
    hourCycle: 'h23',
  }).format(atMs);
  return read !== 'Tue, 03' && read !== 'Tue, 16';
});

describe('the quietest hours', () => {
  it('are those in which nobody called before, at the same hour of the same weekday', () => {
    const { quietest, whileOpen, weeks } = quietestHours(calls, hours, zone, openMoment);
    expect(quietest).toMatchObject({ atMs: at('2026-11-24T03:00'), calls: 0, isOpen: false });
    expect(whileOpen).toMatchObject({ atMs: at('2026-11-24T16:00'), calls: 0, isOpen: true });
    expect(weeks).toBe(4);
  });

  it('are the soonest where nothing is known, and never over already', () => {
    const { quietest, whileOpen } = quietestHours([], hours, zone, openMoment + 1);
    expect(quietest?.atMs).toBe(at('2026-11-23T11:00'));
    expect(whileOpen?.atMs).toBe(at('2026-11-23T11:00'));
  });

  it('has none while open where it does not open', () => {
    expect(quietestHours(calls, { ...hours, week: [] }, zone, openMoment).whileOpen).toBeUndefined();
  });
});
