import fc from 'fast-check';
import { hoursId, instantOf, minutesOfDay, periodId, type Hours, type WeekSpan } from '../hours';
import { zone } from '../testing/boatyard';
import { cases } from '../testing/cases';
import { saidWeek } from '.';

/** In steps of a quarter of an hour. */
const step = 15;
const weekMinutes = 7 * minutesOfDay;
const open = { id: periodId.create('open'), name: 'Open' };
const lunch = { id: periodId.create('lunch'), name: 'Lunch' };
const monday = instantOf('2026-11-23T12:00', zone);

const span = (period: typeof open, starts: readonly number[], longest: number): fc.Arbitrary<WeekSpan> =>
  fc
    .record({
      day: fc.integer({ min: 1, max: 7 }),
      start: fc.constantFrom(...starts),
      length: fc.integer({ min: 1, max: longest }),
    })
    .map(({ day, start, length }) => ({
      periodId: period.id,
      day: day as WeekSpan['day'],
      startMin: start,
      endMin: Math.min(start + length * step, start + minutesOfDay),
    }));

const anyStart = Array.from({ length: 96 }, (_, index) => index * step);
const week = fc
  .tuple(fc.array(span(open, anyStart, 96), { maxLength: 6 }), fc.array(span(lunch, anyStart, 12), { maxLength: 3 }))
  .map((parts) => parts.flat());
const hoursWith = (spans: readonly WeekSpan[]): Hours => ({
  ...{ id: hoursId.create('any'), name: 'Any', periods: [open, lunch], datedWeeks: [], seasons: [], special: [] },
  week: spans,
});

/** The quarters of an hour of a week at which it is open, looked at one by one; 0 is Monday at midnight. */
function openQuarters(spans: readonly WeekSpan[]): ReadonlySet<number> {
  const covers = ({ day, startMin, endMin }: WeekSpan, minute: number): boolean => {
    const from = (day - 1) * minutesOfDay + startMin;
    return (minute - from + weekMinutes) % weekMinutes < endMin - startMin;
  };
  const all = Array.from({ length: weekMinutes / step }, (_, index) => index * step);
  return new Set(
    all.filter((minute) => {
      const running = spans.filter((each) => covers(each, minute));
      return running.length > 0 && running.every(({ periodId: id }) => id === open.id);
    }),
  );
}

const dayNames = ['Montag', 'Dienstag', 'Mittwoch', 'Donnerstag', 'Freitag', 'Samstag', 'Sonntag'];

/** The days of "Montag bis Mittwoch, Freitag und Sonntag", 0 for Monday. */
function daysIn(text: string): readonly number[] {
  if (text === 'täglich') return dayNames.map((_, index) => index);
  return text.split(/, | und /).flatMap((part) => {
    const [first = -1, last = first] = part.split(' bis ').map((name) => dayNames.indexOf(name));
    expect(Math.min(first, last)).toBeGreaterThanOrEqual(0);
    return Array.from({ length: ((last - first + 7) % 7) + 1 }, (_, by) => (first + by) % 7);
  });
}

function minuteOf(text: string): number {
  if (text === 'Mitternacht') return 0;
  const [, hour = '', minute = '0'] = /^(ein|\d+) Uhr(?: (\d+))?$/.exec(text) ?? [];
  expect(hour).not.toBe('');
  return (hour === 'ein' ? 1 : Number(hour)) * 60 + Number(minute);
}

/** What a listener takes the times of a day to be: each after the one before it, on the next day where it must be. */
function timesIn(text: string): readonly (readonly [number, number])[] {
  if (text === 'rund um die Uhr') return [[0, minutesOfDay]];
  let past = 0;
  return text.split(/, | und /).map((part) => {
    const isNextDay = part.endsWith(' am nächsten Tag');
    const [start = 0, end = 0] = part.replace(' am nächsten Tag', '').split(' bis ').map(minuteOf);
    const from = start < past ? start + minutesOfDay : start;
    let to = end;
    while (to <= from) to += minutesOfDay;
    if (isNextDay && to - from < minutesOfDay) to += minutesOfDay;
    past = to;
    return [from, to];
  });
}

/** The quarters of an hour that a listener of the week takes it to be open. */
function heardQuarters(said: string): ReadonlySet<number> {
  const heard = new Set<number>();
  if (said === 'geschlossen') return heard;
  for (const group of said.split('; ')) {
    const [, names = '', times = ''] = /^(.*?), ((?:\d|ein|rund|Mitternacht).*)$/.exec(group) ?? [];
    for (const day of daysIn(names)) {
      for (const [from, to] of timesIn(times)) {
        for (let minute = from; minute < to; minute += step) heard.add((day * minutesOfDay + minute) % weekMinutes);
      }
    }
  }
  return heard;
}

const sorted = (quarters: ReadonlySet<number>): readonly string[] =>
  [...quarters]
    .sort((one, other) => one - other)
    .map((minute) => `${dayNames[Math.floor(minute / minutesOfDay)]} ${(minute % minutesOfDay) / 60}`);

/** A night of which a break leaves only what is after midnight: to be said with its day, it would be heard as the morning before. */
const beginsAfterMidnight = (spans: readonly WeekSpan[]): boolean =>
  spans.some(({ startMin }) => startMin >= minutesOfDay);

describe('a week as it is said', () => {
  it('is heard to be open exactly when it is, looked at quarter by quarter', () => {
    fc.assert(
      fc.property(week, (spans) => {
        fc.pre(!beginsAfterMidnight(spans));
        const said = saidWeek(hoursWith(spans), zone, monday, 'de');
        expect(sorted(heardQuarters(said))).toEqual(sorted(openQuarters(spans)));
      }),
      cases(6000),
    );
  });
});
