import { right, wrong, type Result } from '../result';
import { periodId, type HoursId, type PeriodId } from './ids';
import { seasonProblems, type Season, type SeasonProblem } from './season';
import { specialLimits, type SpecialDate } from './specialDate';
import { specialProblems, type SpecialProblem } from './checkSpecial';

/** A named stretch of the day, such as Open or Lunch. */
export interface Period {
  readonly id: PeriodId;
  /** 1 to 40 characters, the only one of its name in these hours. */
  readonly name: string;
}

/** Day of the week as in ISO 8601: 1 is Monday, 7 is Sunday. */
export type Weekday = 1 | 2 | 3 | 4 | 5 | 6 | 7;

export const weekdays: readonly Weekday[] = [1, 2, 3, 4, 5, 6, 7];

/**
 * When a period runs on a day, by the clock on the wall.
 * The day it starts on owns it: one from 22:00 to 02:00 on Friday ends on Saturday, whatever Saturday is.
 */
export interface DaySpan {
  readonly periodId: PeriodId;
  /** Minutes after midnight, 0 to 1439. */
  readonly startMin: number;
  /** Minutes after that same midnight: more than `startMin`, at most a day later; over 1440 runs into the next day. */
  readonly endMin: number;
}

/** When a period runs on one day of every week. */
export interface WeekSpan extends DaySpan {
  readonly day: Weekday;
}

/** A named set of hours: its periods, the regular week they repeat in, seasons with another week, and special dates. */
export interface Hours {
  readonly id: HoursId;
  readonly name: string;
  readonly periods: readonly Period[];
  readonly week: readonly WeekSpan[];
  readonly seasons: readonly Season[];
  /** Where two fall on a day, one that is there once beats one of every year, a shorter a longer, an earlier a later. */
  readonly special: readonly SpecialDate[];
}

export const minutesOfDay = 1440;
export const minutesOfWeek = 7 * minutesOfDay;
export const mostWeekSpans = 200;
export const mostPeriods = 20;
export const mostSeasons = 12;
export const longestPeriodName = 40;

export type HoursProblem =
  | { readonly type: 'periodName'; readonly name: string }
  | { readonly type: 'periodTwice'; readonly name: string }
  | { readonly type: 'unknownPeriod'; readonly span: WeekSpan }
  | { readonly type: 'noSuchDay'; readonly span: WeekSpan }
  | { readonly type: 'startTime'; readonly span: WeekSpan }
  | { readonly type: 'endTime'; readonly span: WeekSpan }
  | { readonly type: 'tooMany'; readonly what: 'periods' | 'spans' | 'seasons' | 'special'; readonly most: number }
  | SeasonProblem
  | SpecialProblem;

export type HoursContent = Pick<Hours, 'periods' | 'week' | 'seasons' | 'special'>;

/** What must hold for hours to be kept; the hours themselves come back when it does. */
export function checkHours<Checked extends HoursContent>(hours: Checked): Result<Checked, HoursProblem> {
  const problems = [
    ...sizeProblems(hours),
    ...periodProblems(hours.periods),
    ...[hours.week, ...hours.seasons.map(({ week }) => week)].flatMap((week) => spanProblems(hours.periods, week)),
    ...seasonProblems(hours.seasons),
    ...specialProblems(hours.special, hours.periods),
  ];
  return problems.length === 0 ? right(hours) : wrong(...problems);
}

function sizeProblems(hours: HoursContent): HoursProblem[] {
  const problems: HoursProblem[] = [];
  if (hours.periods.length > mostPeriods) problems.push({ type: 'tooMany', what: 'periods', most: mostPeriods });
  if (hours.week.length > mostWeekSpans) problems.push({ type: 'tooMany', what: 'spans', most: mostWeekSpans });
  if (hours.seasons.length > mostSeasons) problems.push({ type: 'tooMany', what: 'seasons', most: mostSeasons });
  if (hours.special.length > specialLimits.most) {
    problems.push({ type: 'tooMany', what: 'special', most: specialLimits.most });
  }
  return problems;
}

function periodProblems(periods: readonly Period[]): HoursProblem[] {
  const seen = new Set<string>();
  return periods.flatMap((period): HoursProblem[] => {
    const name = period.name.trim();
    if (name === '' || name.length > longestPeriodName || !periodId.is(period.id))
      return [{ type: 'periodName', name }];
    const twice = seen.has(name.toLowerCase()) || seen.has(period.id);
    seen.add(name.toLowerCase()).add(period.id);
    return twice ? [{ type: 'periodTwice', name }] : [];
  });
}

function spanProblems(periods: readonly Period[], week: readonly WeekSpan[]): HoursProblem[] {
  const known = new Set(periods.map((period) => period.id));
  return week.flatMap((span): HoursProblem[] => {
    if (!known.has(span.periodId)) return [{ type: 'unknownPeriod', span }];
    if (!weekdays.includes(span.day)) return [{ type: 'noSuchDay', span }];
    return timesAreRight(span) ? [] : [{ type: isStart(span.startMin) ? 'endTime' : 'startTime', span }];
  });
}

/** Whether it starts within the day and ends at most a day later. */
export function timesAreRight({ startMin, endMin }: Pick<DaySpan, 'startMin' | 'endMin'>): boolean {
  return isStart(startMin) && isWhole(endMin, startMin + 1, startMin + minutesOfDay);
}

function isStart(minute: number): boolean {
  return isWhole(minute, 0, minutesOfDay - 1);
}

function isWhole(value: number, from: number, to: number): boolean {
  return Number.isInteger(value) && value >= from && value <= to;
}
