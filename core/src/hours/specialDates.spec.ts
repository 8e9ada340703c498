import { hours as boatyardHours, open, zone } from '../testing/boatyard';
import {
  answersAt,
  checkHours,
  closedAllDay,
  dayPlan,
  daysOf,
  describeHoursProblem,
  describeWhen,
  explainAnswer,
  instantOf,
  nextChange,
  readDate,
  readSpecialDates,
  seasonId,
  showDate,
  specialDateId,
  type Hours,
  type Season,
  type SpecialDate,
  type SpecialHours,
  type When,
} from '.';

const yearly = (month: number, day: number, days = 1): When => ({ type: 'yearly', month, day, days });
const once = (from: string, to = from): When => ({ type: 'once', from, to });
const date = (name: string, when: When, more: Partial<SpecialDate> = {}): SpecialDate => ({
  id: specialDateId.create(`d${name.toLowerCase().replace(/\W/g, '')}`),
  name,
  when,
  moved: 'stays',
  hours: closedAllDay,
  words: '',
  ...more,
});
const times = (startMin: number, endMin: number): SpecialHours => ({
  type: 'times',
  spans: [{ periodId: open.id, startMin, endMin }],
});
const withSpecial = (...special: SpecialDate[]): Hours => ({ ...boatyardHours, special });
const rules = [
  { type: 'special', specialId: null },
  { type: 'period', periodId: open.id },
] as const;
const answer = (hours: Hours, reading: string) => answersAt(rules, hours, zone, instantOf(reading, zone));
const daysIn = (when: When, year: number, moved: SpecialDate['moved'] = 'stays'): string => {
  const range = daysOf({ when, moved }, year);
  return range ? [...new Set([showDate(range.from), showDate(range.to)])].join(' to ') : 'none';
};

describe('the days a special date falls on', () => {
  const fourthThursday: When = { type: 'nthWeekday', nth: 4, weekday: 4, month: 11, plusDays: 0, days: 1 };
  const goodFriday: When = { type: 'easter', church: 'western', plusDays: -2, days: 1 };

  it.each<[string, When, number, string]>([
    ['every year on a date', yearly(7, 4), 2027, '2027-07-04'],
    ['several days, over the end of the year', yearly(12, 24, 10), 2026, '2026-12-24 to 2027-01-02'],
    ['the last of February where there is no 29th', yearly(2, 29), 2027, '2027-02-28'],
    ['the 29th of February where there is one', yearly(2, 29), 2028, '2028-02-29'],
    ['the fourth Thursday of November', fourthThursday, 2026, '2026-11-26'],
    ['the day after it', { ...fourthThursday, plusDays: 1 }, 2027, '2027-11-26'],
    ['the last Monday of May', { ...fourthThursday, nth: -1, weekday: 1, month: 5 }, 2027, '2027-05-31'],
    ['the first Monday of September', { ...fourthThursday, nth: 1, weekday: 1, month: 9 }, 2026, '2026-09-07'],
    ['no fifth Friday', { ...fourthThursday, nth: 5, weekday: 5, month: 2 }, 2027, 'none'],
    ['Good Friday', goodFriday, 2027, '2027-03-26'],
    ['Easter Monday', { ...goodFriday, plusDays: 1 }, 2026, '2026-04-06'],
    ['the earliest Easter there is', { ...goodFriday, plusDays: 0 }, 2285, '2285-03-22'],
    ['the latest', { ...goodFriday, plusDays: 0 }, 2038, '2038-04-25'],
    ['Orthodox Easter', { ...goodFriday, church: 'eastern', plusDays: 0 }, 2027, '2027-05-02'],
    ['Orthodox Easter together with the other', { ...goodFriday, church: 'eastern', plusDays: 0 }, 2025, '2025-04-20'],
    ['once', once('2026-12-24', '2026-12-26'), 2026, '2026-12-24 to 2026-12-26'],
    ['once, in no other year', once('2026-12-24'), 2027, 'none'],
  ])('%s', (_, when, year, days) => expect(daysIn(when, year)).toBe(days));

  // 4 July 2026 is a Saturday, 4 July 2027 a Sunday, 4 July 2028 a Tuesday.
  it.each<[SpecialDate['moved'], readonly string[]]>([
    ['stays', ['2026-07-04', '2027-07-04', '2028-07-04']],
    ['nextWorkday', ['2026-07-06', '2027-07-05', '2028-07-04']],
    ['nearestWorkday', ['2026-07-03', '2027-07-05', '2028-07-04']],
  ])('when on a weekend, %s', (moved, days) => {
    expect([2026, 2027, 2028].map((year) => daysIn(yearly(7, 4), year, moved))).toEqual(days);
  });

  it('is found when it is moved into another year', () => {
    // 1 January 2028 is a Saturday.
    const hours = withSpecial(date('New Year', yearly(1, 1), { moved: 'nearestWorkday' }));
    expect(answer(hours, '2027-12-31T10:00')).toMatchObject({ type: 'special' });
    expect(answer(hours, '2028-01-03T10:00')).toMatchObject({ type: 'period' });
  });

  it('is told in words', () => {
    expect(describeWhen(fourthThursday)).toBe('the fourth Thursday of November');
    expect(describeWhen({ ...fourthThursday, plusDays: 1 })).toBe('the day after the fourth Thursday of November');
    expect(describeWhen(goodFriday)).toBe('2 days before Easter Sunday');
    expect(describeWhen(once('2026-12-24', '2026-12-26'))).toBe('Thu 24 December 2026 to Sat 26 December 2026');
    expect(describeWhen(yearly(7, 4, 2))).toBe('every year on 4 July, 2 days');
  });
});

describe('what answers on a special date', () => {
  it('is its own rule while it keeps everything from running, and the periods while they run', () => {
    const hours = withSpecial(date('Christmas Eve', yearly(12, 24), { hours: times(480, 720) }));
    expect(answer(hours, '2026-12-24T07:59')).toMatchObject({ type: 'special' });
    expect(answer(hours, '2026-12-24T08:00')).toMatchObject({ type: 'period' });
    expect(answer(hours, '2026-12-24T12:00')).toMatchObject({ type: 'special' });
    expect(answer(hours, '2026-12-25T00:00')).toMatchObject({ type: 'otherwise' });
  });

  it('can be so for a part of the day only', () => {
    const hours = withSpecial(
      date('Drill', once('2026-11-24'), { hours: { ...closedAllDay, startMin: 840, endMin: 900 } }),
    );
    const said = ['13:59', '14:00', '14:59', '15:00', '19:00'].map((at) => answer(hours, `2026-11-24T${at}`).type);
    expect(said).toEqual(['period', 'special', 'special', 'period', 'otherwise']);
  });

  it('lets what began the evening before run on into it, and its own run on out of it', () => {
    const late = { periodId: open.id, day: 4 as const, startMin: 1320, endMin: 1560 };
    const hours = {
      ...withSpecial(date('Friday off', once('2026-11-27'))),
      week: [late, { ...late, day: 5 as const }],
    };
    // Thursday's evening belongs to Thursday; Friday's own does not happen.
    expect(answer(hours, '2026-11-27T01:59').type).toBe('period');
    expect(answer(hours, '2026-11-27T02:00').type).toBe('special');
    expect(answer(hours, '2026-11-27T23:00').type).toBe('special');
    expect(answer(hours, '2026-11-28T01:00').type).toBe('otherwise');
    const open26 = withSpecial(date('Long night', once('2026-11-28'), { hours: times(1200, 1500) }));
    expect(answer(open26, '2026-11-29T00:59').type).toBe('period');
    expect(answer(open26, '2026-11-29T01:00').type).toBe('otherwise');
  });

  it('goes by its own rule before that of any special date, and by neither without', () => {
    const [party, other] = [date('Party', once('2026-11-24')), date('Other', once('2026-11-25'))];
    const hours = withSpecial(party, other);
    const at = (day: string) => instantOf(`2026-11-${day}T10:00`, zone);
    const own = [{ type: 'special', specialId: party.id } as const, ...rules];
    expect(answersAt(own, hours, zone, at('24'))).toMatchObject({ ruleOf: party.id });
    expect(answersAt(own, hours, zone, at('25'))).toEqual({ type: 'special', specialId: other.id, ruleOf: null });
    expect(answersAt([], hours, zone, at('24'))).toEqual({ type: 'otherwise' });
    const { verdicts } = explainAnswer(own, hours, zone, at('24'));
    expect(verdicts.map(({ is }) => is)).toEqual(['wins', 'beaten', 'doesNotApply', 'beaten']);
  });

  it('is that of the one that is there once, then of the shorter, then of the earlier, where several are', () => {
    const week = date('Week off', yearly(11, 23, 7));
    const day = date('Tuesday', yearly(11, 24));
    const single = date('This Tuesday', once('2026-11-24', '2026-11-30'));
    const nameOn = (hours: Hours, of: string) => dayPlan(hours, readDate(of) ?? 0).special?.name;
    expect(nameOn(withSpecial(week, day), '2026-11-24')).toBe('Tuesday');
    expect(nameOn(withSpecial(week, day), '2026-11-25')).toBe('Week off');
    expect(nameOn(withSpecial(week, day, single), '2026-11-24')).toBe('This Tuesday');
    expect(nameOn(withSpecial(day, { ...day, name: 'Second' }), '2026-11-24')).toBe('Tuesday');
    // Reckoned in different years, and of the same length: the order of the list holds still.
    const turn = date('Turn', { type: 'nthWeekday', nth: -1, weekday: 1, month: 12, plusDays: 3, days: 3 });
    const january = date('January', yearly(1, 1, 3));
    expect(nameOn(withSpecial(january, turn), '2027-01-01')).toBe('January');
    expect(nameOn(withSpecial(turn, january), '2027-01-01')).toBe('Turn');
  });

  it('changes at its midnights, and the change is found however far ahead', () => {
    const leap = withSpecial(date('Leap day', yearly(2, 29)));
    const always = {
      ...leap,
      week: [1, 2, 3, 4, 5, 6, 7].map((day) => ({ periodId: open.id, day, startMin: 0, endMin: 1440 })),
    } as Hours;
    const now = instantOf('2026-03-01T09:00', zone);
    expect(nextChange(rules, always, zone, now)).toMatchObject({ atMs: instantOf('2027-02-28T00:00', zone) });
  });
});

describe('a season', () => {
  const season = (name: string, from: [number, number], to: [number, number], more: Partial<Season> = {}): Season => ({
    id: seasonId.create(`s${name.toLowerCase().trim()}`),
    name,
    from: { month: from[0], day: from[1] },
    to: { month: to[0], day: to[1] },
    week: [{ periodId: open.id, day: 7, startMin: 540, endMin: 720 }],
    ...more,
  });

  it('has a week of its own from its first day to its last, over the end of the year too', () => {
    const winter: Hours = { ...boatyardHours, seasons: [season('Winter', [11, 15], [3, 1])] };
    const sundays = ['2026-11-08', '2026-11-15', '2027-02-28', '2027-03-07'];
    expect(sundays.map((day) => answer(winter, `${day}T10:00`).type)).toEqual([
      'otherwise',
      'period',
      'period',
      'otherwise',
    ]);
    expect(answer(winter, '2026-11-16T10:00').type).toBe('otherwise');
    expect(dayPlan(winter, readDate('2027-01-01') ?? 0).week.of).toMatchObject({ name: 'Winter' });
  });

  it('gives way to a special date', () => {
    const hours: Hours = {
      ...withSpecial(date('Off', once('2026-11-22'))),
      seasons: [season('Winter', [11, 15], [3, 1])],
    };
    expect(answer(hours, '2026-11-22T10:00').type).toBe('special');
  });

  it.each<[readonly Season[], string]>([
    [
      [season('Summer', [6, 1], [9, 1]), season('Regatta', [8, 1], [8, 9])],
      'Regatta and Summer share days. A day can be in one season only.',
    ],
    [
      [season('Winter', [11, 15], [3, 1]), season('Ice', [2, 1], [4, 1])],
      'Ice and Winter share days. A day can be in one season only.',
    ],
    [[season('Odd', [2, 30], [3, 1])], 'Odd begins or ends on a day that there is not.'],
    [[season(' ', [2, 1], [3, 1])], 'A season needs a name of 1 to 40 characters.'],
    [
      [season('Late', [2, 1], [3, 1], { week: [{ periodId: open.id, day: 1, startMin: 60, endMin: 30 }] })],
      'Monday 1:00 to 0:30: the end must come after the start, at most a day later.',
    ],
  ])('is refused in words: %#', (seasons, says) => {
    const checked = checkHours({ ...boatyardHours, seasons });
    expect(checked.ok ? [] : checked.problems.map(describeHoursProblem)).toContain(says);
  });
});

describe('special dates that cannot be kept', () => {
  it.each<[SpecialDate, string]>([
    [date('Bad', once('2026-02-31')), 'Bad: there is no such day in the calendar.'],
    [date('Bad', yearly(2, 30)), 'Bad: there is no such day in the calendar.'],
    [date('Back', once('2026-12-26', '2026-12-24')), 'Back ends before it begins.'],
    [
      date('Ages', once('2026-01-01', '2028-01-01')),
      'Ages lasts too long: at most 31 days every year, or a year once.',
    ],
    [date('', once('2026-01-01')), 'A special date needs a name of 1 to 60 characters.'],
    [
      date('Half', once('2026-01-01'), { hours: { type: 'closed', startMin: 900, endMin: 840 } }),
      'Half: each time must start within the day and end after it starts, at most a day later.',
    ],
    [date('Long', once('2026-01-01'), { words: 'x'.repeat(501) }), 'Long: the words can have at most 500 characters.'],
  ])('are refused in words: %#', (special, says) => {
    const checked = checkHours(withSpecial(special));
    expect(checked.ok ? [] : checked.problems.map(describeHoursProblem)).toContain(says);
  });

  it('are not read where they are not made as special dates are', () => {
    expect(readSpecialDates([date('Fine', yearly(7, 4))]).ok).toBe(true);
    expect(readSpecialDates([{ ...date('Odd', yearly(7, 4)), when: { type: 'sometimes' } }])).toMatchObject({
      ok: false,
      problems: [{ at: '0.when.type' }],
    });
    expect(readSpecialDates('all of them').ok).toBe(false);
  });
});
