import fc from 'fast-check';
import {
  dayNumber,
  hoursId,
  instantOf,
  isWorkingAt,
  periodId,
  specialDateId,
  weekdays,
  type Hours,
  type WeekSpan,
} from '../hours';
import { zone } from '../testing/boatyard';
import { isOpenAllDay, nextOpening, openTimesOn, openWeekHours, timesToday, todayAt, weekGroups } from './openTimes';
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
const anyHours: fc.Arbitrary<Hours> = fc.array(span, { maxLength: 6 }).map((week) => ({
  id: hoursId.create('any'),
  name: 'Any',
  periods: [open, lunch],
  week,
  datedWeeks: [],
  seasons: [],
  special: [],
}));

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
      datedWeeks: [],
      seasons: [],
      special: [],
    };
    expect(timesToday(withLunch, zone, start)).toEqual([
      { startMin: 480, endMin: 720 },
      { startMin: 750, endMin: 1020 },
    ]);
  });
});

describe('a night with a break in it', () => {
  const at = (reading: string): number => instantOf(reading, zone);
  const clock = (minutes: number): string => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
  /** Times of a day as texts; a minute past midnight counts on from 24:00. */
  const texts = (times: readonly { startMin: number; endMin: number }[]): string =>
    times.map(({ startMin, endMin }) => `${clock(startMin)}-${clock(endMin)}`).join(' ');
  const night = (...week: readonly (readonly [typeof open.id, WeekSpan['day'], number, number])[]): Hours => ({
    id: hoursId.create('night'),
    name: 'Night',
    periods: [open, lunch],
    week: week.map(([id, day, from, to]) => ({ periodId: id, day, startMin: from * 60, endMin: to * 60 })),
    datedWeeks: [],
    seasons: [],
    special: [],
  });
  // Friday from six in the evening to four, with a break around midnight.
  const friday = night([open.id, 5, 18, 28], [lunch.id, 5, 23.5, 24.5]);
  const [fridayDay, saturdayDay] = [todayAt(zone, at('2026-06-12T12:00')), todayAt(zone, at('2026-06-13T12:00'))];

  it('has what follows the break, on the day that the night began on', () => {
    expect(texts(openTimesOn(friday, fridayDay))).toBe('18:00-23:30 24:30-28:00');
    expect(texts(openTimesOn(friday, saturdayDay))).toBe('');
  });

  it('opens again after the break, on the day it is by then', () => {
    const next = nextOpening(friday, zone, at('2026-06-12T23:45'));
    expect(next).toMatchObject({ date: '2026-06-13', startMin: 30, daysAhead: 1, weekday: 6 });
    expect(nextOpening(friday, zone, at('2026-06-13T00:10'))).toMatchObject({
      date: '2026-06-13',
      startMin: 30,
      daysAhead: 0,
    });
    expect(nextOpening(friday, zone, at('2026-06-13T01:00'))).toMatchObject({ date: '2026-06-19', startMin: 1080 });
  });

  it('is cut by a break of the day after, too', () => {
    const cut = night([open.id, 5, 18, 28], [lunch.id, 6, 1, 2]);
    expect(texts(openTimesOn(cut, fridayDay))).toBe('18:00-25:00 26:00-28:00');
  });

  it('is today’s as long as it runs on, though the day itself is closed', () => {
    expect(texts(timesToday(friday, zone, at('2026-06-13T01:00')))).toBe('24:30-28:00');
    expect(timesToday(friday, zone, at('2026-06-13T00:10'))).toEqual([]);
    expect(timesToday(friday, zone, at('2026-06-13T04:00'))).toEqual([]);
    expect(texts(timesToday(night([open.id, 5, 18, 28]), zone, at('2026-06-13T03:59')))).toBe('18:00-28:00');
  });
});

describe('being open all day', () => {
  const week = (spans: readonly (readonly [WeekSpan['day'], number, number])[]): Hours => ({
    id: hoursId.create('long'),
    name: 'Long',
    periods: [open],
    week: spans.map(([day, from, to]) => ({ periodId: open.id, day, startMin: from * 60, endMin: to * 60 })),
    datedWeeks: [],
    seasons: [],
    special: [],
  });
  const monday = todayAt(zone, start) - 2;

  it('is from midnight to midnight, not a day’s length from any hour', () => {
    const once = week([[1, 8, 32]]);
    expect([0, 1].map((by) => isOpenAllDay(once, monday + by))).toEqual([false, false]);
    expect(isOpenAllDay(week([[1, 0, 24]]), monday)).toBe(true);
  });

  it('may be by times that follow one another', () => {
    const always = week(weekdays.map((day) => [day, 8, 32]));
    expect(weekdays.every((_, by) => isOpenAllDay(always, monday + by))).toBe(true);
    expect(weekGroups(always, monday)).toMatchObject([{ days: weekdays, isAllDay: true }]);
    expect(nextOpening(always, zone, start)).toBeUndefined();
  });

  it('opens nowhere: midnight is no opening', () => {
    expect(nextOpening(week(weekdays.map((day) => [day, 0, 24])), zone, start)).toBeUndefined();
  });
});

describe('the hours of the week in which it is open', () => {
  const period = { id: periodId.create('openHours'), name: 'Open' };
  const of = (special: Hours['special'] = []): Hours => ({
    ...{ id: hoursId.create('week'), name: 'Week', periods: [period], datedWeeks: [], seasons: [], special },
    week: [
      { periodId: period.id, day: 1, startMin: 510, endMin: 725 },
      { periodId: period.id, day: 7, startMin: 1380, endMin: 1500 },
    ],
  });
  const days = Array.from({ length: 28 }, (_, index) => dayNumber(2026, 11, 2) + index);

  it('are those with any open minute, over midnight into the next day too', () => {
    expect([...openWeekHours(of(), days)].sort((one, other) => one - other)).toEqual([
      0,
      8,
      9,
      10,
      11,
      12,
      6 * 24 + 23,
    ]);
    expect(openWeekHours(of(), []).size).toBe(0);
  });

  it('are as on most of such days, special dates kept to', () => {
    const closed = (from: string, to: string): Hours['special'] => [
      {
        ...{
          id: specialDateId.create(from),
          name: 'Away',
          when: { type: 'once', from, to },
        },
        ...{ moved: 'stays', hours: { type: 'closed', startMin: 0, endMin: 1440 }, words: '' },
      },
    ];
    expect(openWeekHours(of(closed('2026-11-02', '2026-11-02')), days).has(9)).toBe(true);
    expect(openWeekHours(of(closed('2026-11-02', '2026-11-20')), days).has(9)).toBe(false);
  });
});
