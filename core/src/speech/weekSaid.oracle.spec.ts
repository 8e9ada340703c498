import fc from 'fast-check';
import { hoursId, instantOf, minutesOfDay, periodId, type Hours, type WeekSpan } from '../hours';
import { zone } from '../testing/boatyard';
import { cases } from '../testing/cases';
import { saidWeek, type SaidIn } from '.';

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

/** How listeners of a language take what they hear. */
interface Listener {
  readonly in: SaidIn;
  readonly closed: string;
  readonly everyDay: string;
  readonly aroundTheClock: string;
  readonly nextDay: string;
  readonly days: readonly string[];
  readonly and: string;
  readonly to: string;
  /** What begins the times of a group of days. */
  readonly time: RegExp;
  /** Minutes after midnight; `after` is what the range ends with, which may say the half of the day for both. */
  readonly minuteOf: (text: string, after: string) => number;
}

const spelled = 'twelve one two three four five six seven eight nine ten eleven'.split(' ');
const quarters: Readonly<Record<string, number>> = { '': 0, fifteen: 15, thirty: 30, 'forty-five': 45 };
const american: Listener = {
  in: { language: 'en', clock: 'amPm' },
  ...{ closed: 'closed', everyDay: 'every day', aroundTheClock: 'around the clock', nextDay: ' the next day' },
  days: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
  ...{
    and: ' and ',
    to: ' to ',
    time: /^(.*?), ((?:noon|midnight|around|(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\b).*)$/,
  },
  minuteOf: (text, after) => {
    if (text === 'midnight') return 0;
    if (text === 'noon') return 720;
    const [, hour = '', minute = '', half = / ([ap])\.m\.$/.exec(after)?.[1]] =
      /^(\w+)(?: (fifteen|thirty|forty-five))?(?: ([ap])\.m\.)?$/.exec(text) ?? [];
    expect([text, spelled.includes(hour), half]).toEqual([text, true, expect.stringMatching(/^[ap]$/)]);
    return spelled.indexOf(hour) * 60 + (quarters[minute] ?? NaN) + (half === 'p' ? 720 : 0);
  },
};

const dayNames = ['Montag', 'Dienstag', 'Mittwoch', 'Donnerstag', 'Freitag', 'Samstag', 'Sonntag'];

/** The days of "Montag bis Mittwoch, Freitag und Sonntag", 0 for Monday. */
function daysIn(text: string, { everyDay, days, and, to }: Listener): readonly number[] {
  if (text === everyDay) return days.map((_, index) => index);
  return partsOf(text, and).flatMap((part) => {
    const [first = -1, last = first] = part.split(to).map((name) => days.indexOf(name));
    expect(Math.min(first, last)).toBeGreaterThanOrEqual(0);
    return Array.from({ length: ((last - first + 7) % 7) + 1 }, (_, by) => (first + by) % 7);
  });
}

const partsOf = (text: string, and: string): readonly string[] => text.split(and).flatMap((part) => part.split(', '));

function minuteOf(text: string): number {
  if (text === 'Mitternacht') return 0;
  const [, hour = '', minute = '0'] = /^(ein|\d+) Uhr(?: (\d+))?$/.exec(text) ?? [];
  expect(hour).not.toBe('');
  return (hour === 'ein' ? 1 : Number(hour)) * 60 + Number(minute);
}

const german: Listener = {
  in: { language: 'de' },
  ...{ closed: 'geschlossen', everyDay: 'täglich', aroundTheClock: 'rund um die Uhr', nextDay: ' am nächsten Tag' },
  ...{ days: dayNames, and: ' und ', to: ' bis ', time: /^(.*?), ((?:\d|ein|rund|Mitternacht).*)$/, minuteOf },
};

/** What a listener takes the times of a day to be: each after the one before it, on the next day where it must be. */
function timesIn(text: string, listener: Listener): readonly (readonly [number, number])[] {
  const { aroundTheClock, nextDay, and, to: until } = listener;
  if (text === aroundTheClock) return [[0, minutesOfDay]];
  let past = 0;
  return partsOf(text, and).map((part) => {
    const isNextDay = part.endsWith(nextDay);
    const range = part.replace(nextDay, '');
    const [start = 0, end = 0] = range.split(until).map((each) => listener.minuteOf(each, range));
    const from = start < past ? start + minutesOfDay : start;
    let to = end;
    while (to <= from) to += minutesOfDay;
    if (isNextDay && to - from < minutesOfDay) to += minutesOfDay;
    past = to;
    return [from, to];
  });
}

/** The quarters of an hour that a listener of the week takes it to be open. */
function heardQuarters(said: string, listener: Listener): ReadonlySet<number> {
  const heard = new Set<number>();
  if (said === listener.closed) return heard;
  for (const group of said.split('; ')) {
    const [, names = '', times = ''] = listener.time.exec(group) ?? [];
    for (const day of daysIn(names, listener)) {
      for (const [from, to] of timesIn(times, listener)) {
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
  it.each([
    ['German', german],
    ['American', american],
  ])('is heard to be open exactly when it is, looked at quarter by quarter: %s', (_, listener) => {
    fc.assert(
      fc.property(week, (spans) => {
        fc.pre(!beginsAfterMidnight(spans));
        const said = saidWeek(hoursWith(spans), zone, monday, listener.in);
        expect(sorted(heardQuarters(said, listener))).toEqual(sorted(openQuarters(spans)));
      }),
      cases(3000),
    );
  });
});
