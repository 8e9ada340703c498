import fc from 'fast-check';
import { hoursId, instantOf, isWorkingAt, periodId, weekdays, type Hours, type WeekSpan } from '../hours';
import { zone } from '../testing/boatyard';
import { nextOpening, openTimesOn, timesToday, todayAt, weekGroups } from './openTimes';
import { cases } from '../testing/cases';

const open = { id: periodId.create('open'), name: 'Open' };
const lunch = { id: periodId.create('lunch'), name: 'Lunch' };
const quarter = (most: number) => fc.integer({ min: 0, max: most }).map((quarters) => quarters * 15);
const span: fc.Arbitrary<WeekSpan> = fc
  .record({
    periodId: fc.constant(open.id),
    day: fc.constantFrom(...weekdays),
    startMin: quarter(95),
    length: quarter(60),
  })
  .map(({ length, ...rest }) => ({ ...rest, endMin: rest.startMin + 15 + length }));
const anyHours: fc.Arbitrary<Hours> = fc
  .array(span, { maxLength: 6 })
  .map((week) => ({ id: hoursId.create('any'), name: 'Any', periods: [open, lunch], week, seasons: [], special: [] }));

const minuteMs = 60_000;
/** Noon on a Wednesday, far from any clock change. */
const start = instantOf('2026-06-10T12:00', zone);

describe('when it opens next', () => {
  it('is the first quarter of an hour at which it is open and was not, as sampling finds it', () => {
    fc.assert(
      fc.property(anyHours, fc.integer({ min: 0, max: 7 * 96 }), (hours, quarters) => {
        const atMs = start + quarters * 15 * minuteMs;
        const isOpen = (ms: number): boolean => isWorkingAt(hours, zone, ms);
        let found: number | undefined;
        for (let step = 1; step <= 7 * 96 && found === undefined; step += 1) {
          const ms = atMs + step * 15 * minuteMs;
          if (isOpen(ms) && !isOpen(ms - minuteMs)) found = ms;
        }
        const next = nextOpening(hours, zone, atMs);
        const clock = (minutes: number): string =>
          `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
        expect(next && instantOf(`${next.date}T${clock(next.startMin)}`, zone)).toBe(found);
      }),
      cases(150),
    );
  });
});

describe('the week in groups', () => {
  it('has every day once, days alike together, and nothing of a break', () => {
    fc.assert(
      fc.property(anyHours, (hours) => {
        const monday = todayAt(zone, start) - 2;
        const groups = weekGroups(hours, monday);
        expect(groups.flatMap(({ days }) => days).sort()).toEqual([...weekdays]);
        for (const { days, times } of groups) {
          for (const day of days) expect(openTimesOn(hours, monday + day - 1)).toEqual(times);
        }
        const shapes = groups.map(({ times }) => JSON.stringify(times));
        expect(new Set(shapes).size).toBe(shapes.length);
      }),
    );
    const week = [
      { periodId: open.id, day: 3 as const, startMin: 480, endMin: 1020 },
      { periodId: lunch.id, day: 3 as const, startMin: 720, endMin: 750 },
    ];
    const withLunch: Hours = {
      id: hoursId.create('lunch'),
      name: 'Lunch',
      periods: [open, lunch],
      week,
      seasons: [],
      special: [],
    };
    expect(timesToday(withLunch, zone, start)).toEqual([
      { startMin: 480, endMin: 720 },
      { startMin: 750, endMin: 1020 },
    ]);
  });
});
