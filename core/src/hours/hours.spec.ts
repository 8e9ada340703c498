import fc from 'fast-check';
import { hours, lunch, open, zone } from '../testing/boatyard';
import {
  answersAt,
  answerSpans,
  checkHours,
  describeHoursProblem,
  describeTimeProblem,
  instantOf,
  isSameAnswer,
  isTimeZone,
  minutesOfDay,
  nextChange,
  periodsAt,
  readDayTimes,
  readTime,
  showDayTimes,
  type Hours,
  type Weekday,
  type WeekSpan,
} from '.';
import { cases } from '../testing/cases';

const rules = [
  { type: 'period', periodId: lunch.id },
  { type: 'period', periodId: open.id },
] as const;
const withWeek = (...week: WeekSpan[]): Hours => ({ ...hours, week });
const span = (day: Weekday, startMin: number, endMin: number, periodId = open.id): WeekSpan => ({
  periodId,
  day,
  startMin,
  endMin,
});
const isOpenAt = (week: Hours, at: string, timeZone = zone): boolean =>
  periodsAt(week, timeZone, instantOf(at, timeZone)).has(open.id);

describe('the regular week', () => {
  it('runs from its first minute up to, but not including, its last', () => {
    expect(isOpenAt(hours, '2026-11-23T07:59')).toBe(false);
    expect(isOpenAt(hours, '2026-11-23T08:00')).toBe(true);
    expect(isOpenAt(hours, '2026-11-23T17:29')).toBe(true);
    expect(isOpenAt(hours, '2026-11-23T17:30')).toBe(false);
    expect(isOpenAt(hours, '2026-11-22T10:00')).toBe(false);
  });

  it('runs over midnight, from Sunday into Monday too', () => {
    const night = withWeek(span(7, 22 * 60, 26 * 60));
    expect(isOpenAt(night, '2026-11-22T23:00')).toBe(true);
    expect(isOpenAt(night, '2026-11-23T01:59')).toBe(true);
    expect(isOpenAt(night, '2026-11-23T02:00')).toBe(false);
  });

  it('goes by the clock on the wall when clocks change', () => {
    const early = withWeek(span(7, 90, 150));
    // On 8 March 2026 two o'clock is three o'clock: what is left of 1:30 to 2:30 ends when the clocks jump.
    const spring = instantOf('2026-03-08T01:45', zone);
    expect(nextChange(rules, early, zone, spring)?.atMs).toBe(spring + 15 * 60_000);
    // On 1 November 2026 the hour from one to two comes twice, and is open in both.
    const first = instantOf('2026-11-01T01:45', zone);
    const second = first + 3_600_000;
    expect(periodsAt(early, zone, first).has(open.id)).toBe(true);
    expect(periodsAt(early, zone, second - 30 * 60_000).has(open.id)).toBe(false);
    expect(periodsAt(early, zone, second).has(open.id)).toBe(true);
  });

  it('knows zones with odd offsets', () => {
    const noonInNepal = withWeek(span(1, 720, 780));
    expect(isOpenAt(noonInNepal, '2026-11-23T12:00', 'Asia/Kathmandu')).toBe(true);
    expect(periodsAt(noonInNepal, 'Asia/Kathmandu', Date.UTC(2026, 10, 23, 6, 15)).has(open.id)).toBe(true);
  });

  it('takes IANA zones and nothing else for a time zone', () => {
    expect(['America/New_York', 'UTC'].every(isTimeZone)).toBe(true);
    expect(['Mars/Base', '+05:00', '', 'EST5EDT!'].some(isTimeZone)).toBe(false);
  });
});

describe('the answering order', () => {
  const withLunch = withWeek(...hours.week, span(1, 720, 750, lunch.id));

  it('lets the first rule win where two periods run', () => {
    const noon = instantOf('2026-11-23T12:10', zone);
    expect(answersAt(rules, withLunch, zone, noon)).toMatchObject({ type: 'period', periodId: lunch.id });
    expect(answersAt([...rules].reverse(), withLunch, zone, noon)).toMatchObject({ periodId: open.id });
  });

  it('falls to otherwise when no period runs, and when none has a rule', () => {
    expect(answersAt(rules, withLunch, zone, instantOf('2026-11-22T12:10', zone)).type).toBe('otherwise');
    expect(answersAt([], withLunch, zone, instantOf('2026-11-23T12:10', zone)).type).toBe('otherwise');
  });

  it('tells the next change, over a weekend and over a clock change', () => {
    const friday = instantOf('2026-10-30T18:00', zone);
    expect(nextChange(rules, hours, zone, friday)).toMatchObject({ atMs: instantOf('2026-11-02T08:00', zone) });
  });

  it('never changes when nothing is entered', () => {
    expect(nextChange(rules, withWeek(), zone, Date.UTC(2026, 0, 1))).toBeUndefined();
  });

  const zones = [
    'America/New_York',
    'Europe/London',
    'Australia/Lord_Howe',
    'Asia/Kathmandu',
    'America/St_Johns',
    'UTC',
  ];
  const anySpan = fc
    .tuple(
      fc.constantFrom(open.id, lunch.id),
      fc.integer({ min: 1, max: 7 }),
      fc.integer({ min: 0, max: 95 }),
      fc.integer({ min: 1, max: 96 }),
    )
    .map(([id, day, start, length]) => span(day as Weekday, start * 15, start * 15 + length * 15, id));

  it('tiles any stretch of time without gap or overlap, agreeing with every quarter of an hour', () => {
    fc.assert(
      fc.property(
        fc.array(anySpan, { maxLength: 8 }),
        fc.constantFrom(...zones),
        fc.integer({ min: 0, max: 365 }),
        (week, timeZone, day) => {
          const any = withWeek(...week);
          const from = Date.UTC(2026, 0, 1 + day);
          const to = from + 3 * 86_400_000;
          const spans = answerSpans(rules, any, timeZone, from, to);
          expect(spans[0]?.fromMs).toBe(from);
          expect(spans.at(-1)?.toMs).toBe(to);
          spans.forEach((each, index) => index > 0 && expect(each.fromMs).toBe(spans[index - 1]?.toMs));
          for (let at = from; at < to; at += 15 * 60_000) {
            const tile = spans.find((each) => at >= each.fromMs && at < each.toMs);
            expect(tile && isSameAnswer(tile.answer, answersAt(rules, any, timeZone, at))).toBe(true);
          }
        },
      ),
      cases(60),
    );
  });
});

describe('times as people type them', () => {
  it.each([
    ['8', 480],
    ['8:30', 510],
    ['0830', 510],
    ['5.30 pm', 1050],
    ['12am', 0],
    ['noon', 720],
    ['24:00', minutesOfDay],
  ])('reads %s', (text, minutes) => expect(readTime(text)).toEqual({ ok: true, value: minutes }));

  it.each([
    ['25:00', 'There is no 25:00: a day runs from 0:00 to 24:00.'],
    ['8:75', 'There is no 8:75: a day runs from 0:00 to 24:00.'],
    ['soon', '“soon” is not a time. Type it like 8:30 or 5 pm.'],
  ])('says what is wrong with %s', (text, says) => {
    const read = readTime(text);
    expect(read.ok ? [] : read.problems.map(describeTimeProblem)).toEqual([says]);
  });

  it.each([
    ['8-12, 1pm-5:30', '8:00–12:00, 13:00–17:30'],
    ['8 to 5', '8:00–17:00'],
    ['22:00-2:00', '22:00–2:00'],
    ['8-12, 11-14', '8:00–14:00'],
    ['0-24', '0:00–24:00'],
    ['', ''],
    ['9-5', '9:00–17:00'],
    ['9 to 12.30', '9:00–12:30'],
    ['noon-4', '12:00–16:00'],
    ['midday till 4.15', '12:00–16:15'],
    ['8h-17h', '8:00–17:00'],
    ['8h30 à 17h', '8:30–17:00'],
    ['de 8h à 12h et de 13h à 17h30', '8:00–12:00, 13:00–17:30'],
    ['de 9 a 14 y de 16 a 20', '9:00–14:00, 16:00–20:00'],
    ['von 9 bis 12 Uhr und 13 Uhr 30 bis 18 Uhr', '9:00–12:00, 13:30–18:00'],
    ['09.00 – 17.30 Uhr', '9:00–17:30'],
    ['24 hours', '0:00–24:00'],
    ['24h', '0:00–24:00'],
    ['24/7', '0:00–24:00'],
    ['all day', '0:00–24:00'],
    ['closed', ''],
    ['geschlossen', ''],
    ['–', ''],
    ['1-5pm', '13:00–17:00'],
    ['9-5pm', '9:00–17:00'],
    ['8:30 - 11:30 a.m.', '8:30–11:30'],
    ['9 a.m. - 5 p.m.', '9:00–17:00'],
    ['from 9am until 5 pm', '9:00–17:00'],
    ['9 a - 5 p', '9:00–17:00'],
    ['11-2pm', '11:00–14:00'],
    ['12-5pm', '12:00–17:00'],
    ['8-12 / 13-17', '8:00–12:00, 13:00–17:00'],
    ['8-12 + 13-17', '8:00–12:00, 13:00–17:00'],
    ['9 o’clock to 5 o’clock', '9:00–17:00'],
    ['0900–1700', '9:00–17:00'],
  ])('reads the day "%s"', (text, shown) => {
    const read = readDayTimes(text);
    expect(read.ok && showDayTimes(read.value)).toBe(shown);
  });

  it('refuses a stretch with one end', () => {
    for (const text of ['8:00', '9-', 'to 5', '9-12-17', 'open', '8h']) {
      expect([text, readDayTimes(text)]).toMatchObject([text, { ok: false }]);
    }
    expect(readDayTimes('8:00')).toMatchObject({ ok: false, problems: [{ type: 'notARange' }] });
  });
});

describe('hours that cannot be kept', () => {
  it.each([
    [withWeek(span(1, 600, 540)), 'Monday 10:00 to 9:00: the end must come after the start, at most a day later.'],
    [withWeek(span(1, 1500, 1600)), 'Monday 1:00 to 2:40: the start must be from 0:00 to 23:59.'],
    [withWeek({ ...span(1, 0, 60), day: 9 as Weekday }), 'Day 9 is no day of the week: 1 is Monday, 7 is Sunday.'],
    [{ ...hours, periods: [open, { ...lunch, name: 'open' }] }, 'Two periods are called open.'],
    [
      { ...hours, periods: [lunch], week: [span(2, 60, 120)] },
      'Tuesday 1:00 to 2:00 belongs to a period that is not there.',
    ],
  ])('are refused in words', (bad, says) => {
    const checked = checkHours(bad);
    expect(checked.ok ? [] : checked.problems.map(describeHoursProblem)).toContain(says);
  });
});
