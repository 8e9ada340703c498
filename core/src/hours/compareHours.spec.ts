import {
  closedAllDay,
  compareHours,
  compareYears,
  describeHoursDifference,
  hoursId,
  readDate,
  seasonId,
  specialDateId,
  weekdays,
  type Hours,
  type SpecialDate,
  type WeekSpan,
} from '.';
import { hours as line, lunch, open } from '../testing/boatyard';

const year = { from: readDate('2026-01-01') ?? 0, to: readDate('2026-12-31') ?? 0 };
const parts: Hours = { ...line, id: hoursId.create('parts'), name: 'Parts' };
const withWeek = (change: (span: WeekSpan) => WeekSpan | null): Hours => ({
  ...parts,
  week: parts.week.flatMap((span) => change(span) ?? []),
});
const said = (one: Hours, other: Hours = line): readonly string[] =>
  compareHours(one, other, year).map((each) => describeHoursDifference(each, one.name, 'the line'));
const special = (name: string, more: Partial<SpecialDate>): SpecialDate => ({
  id: specialDateId.create(name.replaceAll(' ', '').toLowerCase()),
  name,
  when: { type: 'nthWeekday', nth: 4, weekday: 4, month: 11, plusDays: 0, days: 2 },
  moved: 'stays',
  hours: closedAllDay,
  words: '',
  ...more,
});

describe('two sets of hours compared', () => {
  it('are said to differ in nothing when they are alike', () => {
    expect(said(parts)).toEqual([]);
  });

  it('tell what opens and closes before or after, on which days', () => {
    expect(said(withWeek((span) => (span.day === 5 ? { ...span, endMin: span.endMin - 30 } : span)))).toEqual([
      'Parts closes 30 minutes before the line on Fridays.',
    ]);
    expect(said(withWeek((span) => ({ ...span, startMin: span.startMin + 75, endMin: span.endMin + 1 })))).toEqual([
      'Parts opens 1 hour 15 minutes after the line and closes 1 minute after the line Monday to Friday.',
    ]);
    expect(said(withWeek((span) => (span.day === 1 || span.day === 3 ? { ...span, startMin: 420 } : span)))).toEqual([
      'Parts opens 1 hour before the line on Mondays and Wednesdays.',
    ]);
  });

  it('tell whole times where one is closed, or breaks are others', () => {
    expect(said(withWeek((span) => (span.day === 2 ? null : span)))).toEqual([
      'On Tuesdays, Parts is closed; the line is open 8:00 to 17:30.',
    ]);
    const breaks = parts.week.map((span) => ({ ...span, periodId: lunch.id, startMin: 720, endMin: 750 }));
    expect(said({ ...parts, week: [...parts.week, ...breaks] })).toEqual([
      'Monday to Friday, Parts is open 8:00 to 12:00 and 12:30 to 17:30; the line is open 8:00 to 17:30.',
    ]);
  });

  it('tell each season on its own', () => {
    const saturdays: WeekSpan = { periodId: open.id, day: 6, startMin: 480, endMin: 720 };
    const summer = {
      id: seasonId.create('summer'),
      name: 'Summer',
      from: { month: 6, day: 1 },
      to: { month: 8, day: 31 },
      week: [...parts.week, saturdays],
    };
    expect(said({ ...parts, seasons: [summer] })).toEqual([
      'In Summer, on Saturdays, Parts is open 8:00 to 12:00; the line is closed.',
    ]);
  });

  it('tell special dates that only one keeps, days in a row as one', () => {
    expect(said({ ...parts, special: [special('Thanksgiving', {})] })).toEqual([
      'On Thanksgiving (Thu 26 November 2026 to Fri 27 November 2026), Parts is closed; the line is open 8:00 to 17:30.',
    ]);
    expect(
      said({ ...parts, special: [special('Thanksgiving', {})] }, { ...line, special: [special('Thanks', {})] }),
    ).toEqual([]);
  });

  it('say what is open around the clock', () => {
    const always = weekdays.map((day) => ({ periodId: open.id, day, startMin: 0, endMin: 1440 }));
    expect(said({ ...parts, week: always })).toEqual([
      'Parts opens 8 hours before the line and closes 6 hours 30 minutes after the line Monday to Friday.',
      'On Saturdays and Sundays, Parts is open around the clock; the line is closed.',
    ]);
  });
});

describe('two years of the same hours compared', () => {
  const party = special('Party', { when: { type: 'once', from: '2026-12-18', to: '2026-12-18' } });
  const fourth = special('Independence Day', { when: { type: 'yearly', month: 7, day: 3, days: 1 } });
  const compared = compareYears({ ...line, special: [special('Thanksgiving', {}), party, fourth] }, 2026, 2027);

  it('tell the special dates that fall on other days, or come in one of them only', () => {
    const on = (text: string, days = 1) => ({ from: readDate(text), to: (readDate(text) ?? 0) + days - 1 });
    expect(compared.special).toEqual([
      { name: 'Thanksgiving', one: on('2026-11-26', 2), other: on('2027-11-25', 2) },
      { name: 'Party', one: on('2026-12-18'), other: null },
    ]);
  });

  it('sum up how long it is open', () => {
    // 261 weekdays each; two of Thanksgiving, the party and 3 July 2026 fall on them, 3 July 2027 is a Saturday.
    expect(compared.sums).toEqual([
      { year: 2026, openMin: (261 - 4) * 570, closedDays: 365 - 257 },
      { year: 2027, openMin: (261 - 2) * 570, closedDays: 365 - 259 },
    ]);
  });
});
