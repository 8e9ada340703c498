import { dayNumber, monthDayOf, type DayNumber } from './calendar';
import { dayPlan } from './dayPlan';
import type { DayTime } from './dayTimes';
import { type Hours } from './hours';
import { weekdays, type Weekday } from './week';
import { openTimesOn, weekTimes } from './openTimes';
import { seasonOn, type Season } from './season';
import type { DayRange } from './specialDate';
import { occurrences, type Occurrence } from './upcoming';

/** How open times differ: when the first opens and closes, as minutes after the second (before it where negative). */
export type TimesDifference =
  /** Minutes by which the first opens and closes after the second does; one of them may be 0. */
  | { readonly type: 'edges'; readonly opensBy: number; readonly closesBy: number }
  | { readonly type: 'times'; readonly one: readonly DayTime[]; readonly other: readonly DayTime[] };

/** How two sets of hours differ. */
export type HoursDifference =
  /** On these days of the week, as long as these seasons last; null for the regular week. */
  | {
      readonly type: 'week';
      readonly days: readonly Weekday[];
      readonly seasons: readonly [string | null, string | null];
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
 * How one set of hours differs from another, from one day to another (both in it): week by week as the seasons have it,
 * then on special dates. Open times are compared: while the first period runs, less the times of the others.
 */
export function compareHours(one: Hours, other: Hours, days: DayRange): readonly HoursDifference[] {
  return [...weekDifferences(one, other, days), ...specialDifferences(one, other, days)];
}

function weekDifferences(one: Hours, other: Hours, { from, to }: DayRange): readonly HoursDifference[] {
  const pairs = new Map<string, readonly [Season | undefined, Season | undefined]>();
  for (let day = from; day <= to; day += 1) {
    const pair = [seasonOn(one.seasons, day), seasonOn(other.seasons, day)] as const;
    pairs.set(pair.map((season) => season?.id ?? '').join(' '), pair);
  }
  return [...pairs.values()].flatMap(([ofOne, ofOther]) => {
    const found = new Map<string, { readonly is: TimesDifference; readonly days: Weekday[] }>();
    for (const day of weekdays) {
      const is = timesDifference(
        weekTimes(one, ofOne?.week ?? one.week, day),
        weekTimes(other, ofOther?.week ?? other.week, day),
      );
      if (!is) continue;
      const key = JSON.stringify(is);
      const before = found.get(key);
      if (before) before.days.push(day);
      else found.set(key, { is, days: [day] });
    }
    const seasons = [ofOne?.name ?? null, ofOther?.name ?? null] as const;
    return [...found.values()].map(({ is, days }): HoursDifference => ({ type: 'week', days, seasons, is }));
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
