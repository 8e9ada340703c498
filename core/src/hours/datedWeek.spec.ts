import { hours as boatyard, lunch, open } from '../testing/boatyard';
import {
  checkHours,
  compareHours,
  datedWeekId,
  datedWeekOn,
  describeHoursDifference,
  describeHoursProblem,
  describeWeekChange,
  describeWeeks,
  lastDayOf,
  setWeek,
  weekBefore,
  weekStretches,
  inOrder,
  mergeHours,
  readDate,
  removePeriod,
  seasonId,
  weekChanges,
  weekGroups,
  weekOn,
  type DatedWeek,
  type Hours,
  type WeekSpan,
} from '.';

const opens = (day: WeekSpan['day'], startMin: number, endMin: number): WeekSpan => ({
  ...{ periodId: open.id, day, startMin, endMin },
});
const dated = (name: string, from: string, ...week: WeekSpan[]): DatedWeek => ({
  ...{ id: datedWeekId.create(name.toLowerCase().replaceAll(' ', '-')), name, from, week },
});
const january = dated('January', '2027-01-04', opens(1, 540, 960), opens(6, 600, 720));
const may = dated('May', '2027-05-03', opens(1, 420, 1080));
const hours: Hours = { ...boatyard, week: [opens(1, 480, 1020)], datedWeeks: [may, january], seasons: [] };
const day = (text: string): number => readDate(text) ?? NaN;
const nameOn = (of: Hours, text: string): string => {
  const week = weekOn(of, day(text));
  return week.type === 'regular' ? week.type : week.of.name;
};
const on = (text: string): string => nameOn(hours, text);
const problems = (...datedWeeks: DatedWeek[]): readonly string[] => {
  const checked = checkHours({ ...hours, datedWeeks });
  return checked.ok ? [] : checked.problems.map(describeHoursProblem);
};

describe('a week that begins on a date', () => {
  it('follows another without gap, a season between them too, told in words', () => {
    const summer = {
      id: seasonId.create('summer'),
      name: 'Summer',
      week: [],
      from: { month: 2, day: 1 },
      to: { month: 2, day: 28 },
    };
    const of = { ...hours, seasons: [summer] };
    const stretches = weekStretches(of, { from: day('2026-12-01'), to: day('2027-05-31') });
    expect(describeWeeks(stretches)).toBe(
      'the regular week until Sun 3 January 2027, then January until Sun 31 January 2027, then Summer until Sun 28 February 2027, then January until Sun 2 May 2027, then May',
    );
    expect([null, january.id, may.id].map((id) => lastDayOf(of, id))).toEqual([
      day('2027-01-03'),
      day('2027-05-02'),
      undefined,
    ]);
    expect(weekBefore(of, day(may.from)).of).toBe(january);
    expect(weekBefore(of, day(january.from)).type).toBe('regular');
  });

  it('has its times changed by itself, as a season and the regular week have', () => {
    const sunday = [opens(7, 600, 720)];
    expect(setWeek(hours, may.id, sunday).datedWeeks.map(({ week }) => week)).toEqual([sunday, january.week]);
    expect(setWeek(hours, null, sunday)).toMatchObject({ week: sunday, datedWeeks: hours.datedWeeks });
  });

  it('holds from that day on until the next one begins, in whatever order they were entered', () => {
    expect(['2027-01-03', '2027-01-04', '2027-05-02', '2027-05-03', '2030-01-01'].map(on)).toEqual([
      'regular',
      'January',
      'January',
      'May',
      'May',
    ]);
    expect(inOrder(hours.datedWeeks).map(({ name }) => name)).toEqual(['January', 'May']);
    expect(datedWeekOn([], day('2027-01-04'))).toBeUndefined();
  });

  it('gives way to a season, and holds again after it', () => {
    const summer = { id: seasonId.create('summer'), name: 'Summer', week: [] };
    const seasons = [{ ...summer, from: { month: 4, day: 1 }, to: { month: 6, day: 1 } }];
    const of = { ...hours, seasons };
    expect(['2027-03-31', '2027-05-03', '2027-06-02'].map((text) => nameOn(of, text))).toEqual([
      'January',
      'Summer',
      'May',
    ]);
  });

  it('is what callers are told from its first day on, and not before', () => {
    const told = (text: string) => weekGroups(hours, day(text)).find(({ days }) => days.includes(1))?.times;
    expect(told('2027-01-03')).toEqual([{ startMin: 480, endMin: 1020 }]);
    expect(told('2027-01-04')).toEqual([{ startMin: 540, endMin: 960 }]);
  });

  it('needs a name, a day there is, and one of its own', () => {
    expect(problems(january, may)).toEqual([]);
    expect(problems({ ...january, name: ' ' })).toEqual([
      'A week that begins on a date needs a name of 1 to 40 characters.',
    ]);
    expect(problems({ ...january, from: '2027-02-30' })).toEqual(['January: there is no such day for it to begin on.']);
    expect(problems(january, { ...may, from: january.from })).toEqual([
      'May and January begin on the same day. Give one of them another date, or remove it.',
    ]);
    expect(problems({ ...january, week: [opens(1, 600, 500)] })[0]).toContain('the end must come after the start');
  });

  it('is compared with the one before it, in words', () => {
    const changes = weekChanges(
      boatyard,
      [opens(1, 480, 1020), opens(2, 480, 1020), { ...opens(1, 720, 750), periodId: lunch.id }],
      [opens(1, 540, 960), opens(2, 540, 960), opens(6, 600, 720)],
    );
    expect(changes.map((change) => describeWeekChange(change))).toEqual([
      `${open.name}, on Mondays and Tuesdays: 9:00 to 16:00 instead of 8:00 to 17:00.`,
      `${open.name}, on Saturdays: 10:00 to 12:00 instead of closed.`,
      `${lunch.name}, on Mondays: not at all instead of 12:00 to 12:30.`,
    ]);
    expect(weekChanges(boatyard, january.week, january.week)).toEqual([]);
  });

  it('is told apart when two sets of hours are compared', () => {
    const other = { ...hours, datedWeeks: [] };
    const found = compareHours(hours, other, { from: day('2026-12-28'), to: day('2027-01-10') });
    expect(found.map((each) => describeHoursDifference(each, 'the yard', 'the shed'))).toEqual([
      'From Mon 4 January 2027, the yard opens 1 hour after the shed and closes 1 hour before the shed on Mondays.',
      'From Mon 4 January 2027, on Saturdays, the yard is open 10:00 to 12:00; the shed is closed.',
    ]);
  });

  it('loses the times of a period that is removed', () => {
    expect(removePeriod(hours, open.id).datedWeeks.map(({ week }) => week)).toEqual([[], []]);
  });

  it('is merged day by day with what another window changed', () => {
    const mine = { ...hours, datedWeeks: [may, { ...january, from: '2027-01-11' }] };
    const theirs = { ...hours, datedWeeks: [may, { ...january, week: [opens(1, 540, 960)] }] };
    const { document, clashes } = mergeHours(hours, mine, theirs);
    expect(clashes).toEqual([]);
    expect(document.datedWeeks[1]).toEqual({ ...january, from: '2027-01-11', week: [opens(1, 540, 960)] });
  });
});
