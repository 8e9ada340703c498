import fc from 'fast-check';
import { clockReading, instantOf, weekdayOf, wallTime, type TimeZone } from '../hours';
import { hours, openMoment, zone } from '../testing/boatyard';
import { quietestHours } from './quietest';
import { cases } from '../testing/cases';

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

  it.each(['Asia/Kolkata', 'Asia/Kathmandu', 'America/St_Johns', 'UTC'] as TimeZone[])(
    'begin on the hour by the clock of %s, and never in the minute that runs',
    (each) => {
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 90 * 60_000 }), (more) => {
          const now = openMoment + more;
          const { quietest } = quietestHours([], hours, each, now);
          const ahead = (quietest?.atMs ?? 0) - now;
          expect(clockReading(quietest?.atMs ?? 0, each).slice(14, 16)).toBe('00');
          expect(ahead).toBeGreaterThanOrEqual(60_000);
          expect(ahead).toBeLessThan(62 * 60_000);
        }),
        cases(60),
      );
    },
  );

  it('have no hour ahead in which fewer people called, whatever the log is', () => {
    const pastHours = fc.array(fc.integer({ min: 1, max: 6 * 7 * 24 * 60 }), { maxLength: 300 });
    fc.assert(
      fc.property(pastHours, fc.integer({ min: 1, max: 5 }), (minutesAgo, days) => {
        const log = minutesAgo.map((minutes) => openMoment - minutes * 60_000);
        const { quietest, whileOpen } = quietestHours(log, hours, zone, openMoment, days);
        const key = (atMs: number): string => {
          const { day, minute } = wallTime(zone, atMs);
          return `${weekdayOf(day)} ${Math.floor(minute / 60)}`;
        };
        const callsAt = (atMs: number): number => log.filter((each) => key(each) === key(atMs)).length;
        const ahead = Array.from({ length: days * 24 }, (_, index) => openMoment + (index + 1) * 3_600_000);
        const fewest = Math.min(...ahead.map(callsAt));
        expect(quietest && callsAt(quietest.atMs)).toBe(fewest);
        expect(ahead.find((atMs) => callsAt(atMs) === fewest)).toBe(quietest?.atMs);
        if (whileOpen) expect(callsAt(whileOpen.atMs)).toBeGreaterThanOrEqual(fewest);
      }),
      cases(60),
    );
  });
});
