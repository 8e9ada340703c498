import { dayNumber, monthDayOf, type DayNumber } from './calendar';
import { dayPlan } from './dayPlan';
import type { DayTime } from './dayTimes';
import { type Hours } from './hours';
import { daySpans } from './edits';
import { weekdays, type Period, type Weekday, type WeekSpan } from './week';
import { weekIdOn, weekOn, type WeekOfDay } from './weekOn';
import { openTimesOn, weekTimes } from './openTimes';
import type { DayRange } from './specialDate';
import { occurrences, type Occurrence } from './upcoming';

/** How open times differ: when the first opens and closes, as minutes after the second (before it where negative). */
export type TimesDifference =
  /** Minutes by which the first opens and closes after the second does; one of them may be 0. */
  | { readonly type: 'edges'; readonly opensBy: number; readonly closesBy: number }
  | { readonly type: 'times'; readonly one: readonly DayTime[]; readonly other: readonly DayTime[] };

/** How two sets of hours differ. */
export type HoursDifference =
  /** On these days of the week, as long as these weeks hold. */
  | {
      readonly type: 'week';
      readonly days: readonly Weekday[];
      readonly weeks: readonly [WeekOfDay, WeekOfDay];
      readonly is: TimesDifference;
    }
  /** On days that are a special date of either. */
  | {
      readonly type: 'special';
      readonly name: string;
      readonly days: DayRange;
      readonly one: readonly DayTime[];
      readonly other: readonly DayTime[];
    };

/**
 * How one set of hours differs from another, from one day to another (both in it): week by week as dates and seasons have it,
 * then on special dates. Open times are compared: while the first period runs, less the times of the others.
 */
export function compareHours(one: Hours, other: Hours, days: DayRange): readonly HoursDifference[] {
  return [...weekDifferences(one, other, days), ...specialDifferences(one, other, days)];
}

function weekDifferences(one: Hours, other: Hours, { from, to }: DayRange): readonly HoursDifference[] {
  const pairs = new Map<string, readonly [WeekOfDay, WeekOfDay]>();
  for (let day = from; day <= to; day += 1) {
    const pair = [weekOn(one, day), weekOn(other, day)] as const;
    pairs.set([one, other].map((each) => weekIdOn(each, day) ?? '').join(' '), pair);
  }
  return [...pairs.values()].flatMap((weeks) => {
    const found = new Map<string, { readonly is: TimesDifference; readonly days: Weekday[] }>();
    for (const day of weekdays) {
      const is = timesDifference(weekTimes(one, weeks[0].of.week, day), weekTimes(other, weeks[1].of.week, day));
      if (!is) continue;
      const key = JSON.stringify(is);
      const before = found.get(key);
      if (before) before.days.push(day);
      else found.set(key, { is, days: [day] });
    }
    return [...found.values()].map(({ is, days }): HoursDifference => ({ type: 'week', days, weeks, is }));
  });
}

/** What another week changes for a period on some days of the week. */
export interface WeekChange {
  readonly period: Period;
  /** Whether it is while the first period runs that it is open. */
  readonly isFirst: boolean;
  readonly days: readonly Weekday[];
  readonly before: readonly DayTime[];
  readonly after: readonly DayTime[];
}

/** How one week of some hours differs from another, period by period; days with the same change together. */
export function weekChanges(
  { periods }: Pick<Hours, 'periods'>,
  before: readonly WeekSpan[],
  after: readonly WeekSpan[],
): readonly WeekChange[] {
  const timesIn = (week: readonly WeekSpan[], period: Period, day: Weekday): readonly DayTime[] =>
    daySpans({ week }, period.id, day).map(({ startMin, endMin }) => ({ startMin, endMin }));
  return periods.flatMap((period, index) => {
    const found = new Map<string, WeekChange & { readonly days: Weekday[] }>();
    for (const day of weekdays) {
      const [was, is] = [timesIn(before, period, day), timesIn(after, period, day)];
      const key = JSON.stringify([was, is]);
      if (JSON.stringify(was) === JSON.stringify(is)) continue;
      const alike = found.get(key);
      if (alike) alike.days.push(day);
      else found.set(key, { period, isFirst: index === 0, days: [day], before: was, after: is });
    }
    return [...found.values()];
  });
}

function specialDifferences(one: Hours, other: Hours, { from, to }: DayRange): readonly HoursDifference[] {
  const found: Extract<HoursDifference, { type: 'special' }>[] = [];
  for (let day: DayNumber = from; day <= to; day += 1) {
    const special = dayPlan(one, day).special ?? dayPlan(other, day).special;
    const [ofOne, ofOther] = [openTimesOn(one, day), openTimesOn(other, day)];
    if (!special || !timesDifference(ofOne, ofOther)) continue;
    const last = found.at(-1);
    const goesOn =
      last?.name === special.name &&
      last.days.to === day - 1 &&
      !timesDifference(last.one, ofOne) &&
      !timesDifference(last.other, ofOther);
    if (goesOn) found[found.length - 1] = { ...last, days: { ...last.days, to: day } };
    else found.push({ type: 'special', name: special.name, days: { from: day, to: day }, one: ofOne, other: ofOther });
  }
  return found;
}

function timesDifference(one: readonly DayTime[], other: readonly DayTime[]): TimesDifference | undefined {
  const [first, last] = [one[0], one.at(-1)];
  const [otherFirst, otherLast] = [other[0], other.at(-1)];
  if (!first || !last || !otherFirst || !otherLast || one.length !== other.length) {
    return one.length + other.length === 0 ? undefined : { type: 'times', one, other };
  }
  const isInnerAlike = one.every(
    ({ startMin, endMin }, index) =>
      (index === 0 || startMin === other[index]?.startMin) &&
      (index === one.length - 1 || endMin === other[index]?.endMin),
  );
  if (!isInnerAlike) return { type: 'times', one, other };
  const opensBy = first.startMin - otherFirst.startMin;
  const closesBy = last.endMin - otherLast.endMin;
  return opensBy === 0 && closesBy === 0 ? undefined : { type: 'edges', opensBy, closesBy };
}

/** What a year comes to. */
export interface YearSum {
  readonly year: number;
  /** Minutes open, by the clock on the wall. */
  readonly openMin: number;
  readonly closedDays: number;
}

/** What two years of the same hours come to, and the special dates that do not fall on the same day of both. */
export interface YearsCompared {
  readonly sums: readonly [YearSum, YearSum];
  readonly special: readonly {
    readonly name: string;
    /** Null where it does not come that year. */
    readonly one: DayRange | null;
    readonly other: DayRange | null;
  }[];
}

export function compareYears(hours: Hours, one: number, other: number): YearsCompared {
  const [inOne, inOther] = [one, other].map((year) => occurrences(hours, ...ends(year))) as [Come, Come];
  const names = [...new Set([...inOne, ...inOther].map(({ date }) => date.name))];
  const special = names.flatMap((name) => {
    const [days, otherDays] = [daysNamed(name, inOne), daysNamed(name, inOther)];
    const isAlike = days && otherDays && sameDays(days, otherDays);
    return isAlike ? [] : [{ name, one: days, other: otherDays }];
  });
  return { sums: [sumOf(hours, one), sumOf(hours, other)], special };
}

type Come = readonly Occurrence[];

/** The first and the last day of a year. */
function ends(year: number): [DayNumber, DayNumber] {
  return [dayNumber(year, 1, 1), dayNumber(year, 12, 31)];
}

function daysNamed(name: string, all: Come): DayRange | null {
  const found = all.find(({ date }) => date.name === name);
  return found ? { from: found.from, to: found.to } : null;
}

function sameDays(one: DayRange, other: DayRange): boolean {
  const [first, second] = [monthDayOf(one.from), monthDayOf(other.from)];
  return first.month === second.month && first.day === second.day && one.to - one.from === other.to - other.from;
}

function sumOf(hours: Hours, year: number): YearSum {
  let [openMin, closedDays] = [0, 0];
  const [from, to] = ends(year);
  for (let day = from; day <= to; day += 1) {
    const times = openTimesOn(hours, day);
    openMin += times.reduce((sum, { startMin, endMin }) => sum + endMin - startMin, 0);
    if (times.length === 0) closedDays += 1;
  }
  return { year, openMin, closedDays };
}
