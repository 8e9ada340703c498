import { right, wrong, type Result } from '../result';
import { periodId, type HoursId } from './ids';
import { seasonProblems, type SeasonProblem } from './season';
import { specialLimits, type SpecialDate } from './specialDate';
import { specialProblems, type SpecialProblem } from './checkSpecial';
import { datedWeekProblems, mostDatedWeeks, type DatedWeekProblem } from './datedWeek';
import { allWeeks, type Weeks } from './weekOn';
import { isStart, timesAreRight, weekdays, type Period, type WeekSpan } from './week';

/** A named set of hours: its periods, the week they repeat in, other weeks from a date on or in a season, and special dates. */
export interface Hours extends Weeks {
  readonly id: HoursId;
  readonly name: string;
  readonly periods: readonly Period[];
  /** Where two fall on a day, one that is there once beats one of every year, a shorter a longer, an earlier a later. */
  readonly special: readonly SpecialDate[];
  /** Whether a break is told to callers as a gap in the times: "eight to noon and one to five". Left out, it is. */
  readonly breaksSaid?: boolean;
}

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
  | {
      readonly type: 'tooMany';
      readonly what: 'periods' | 'spans' | 'datedWeeks' | 'seasons' | 'special';
      readonly most: number;
    }
  | DatedWeekProblem
  | SeasonProblem
  | SpecialProblem;

export type HoursContent = Pick<Hours, 'periods' | 'week' | 'datedWeeks' | 'seasons' | 'special'>;

/** What must hold for hours to be kept; the hours themselves come back when it does. */
export function checkHours<Checked extends HoursContent>(hours: Checked): Result<Checked, HoursProblem> {
  const problems = [
    ...sizeProblems(hours),
    ...periodProblems(hours.periods),
    ...allWeeks(hours).flatMap((week) => spanProblems(hours.periods, week)),
    ...datedWeekProblems(hours.datedWeeks),
    ...seasonProblems(hours.seasons),
    ...specialProblems(hours.special, hours.periods),
  ];
  return problems.length === 0 ? right(hours) : wrong(...problems);
}

function sizeProblems(hours: HoursContent): HoursProblem[] {
  const problems: HoursProblem[] = [];
  if (hours.periods.length > mostPeriods) problems.push({ type: 'tooMany', what: 'periods', most: mostPeriods });
  if (hours.week.length > mostWeekSpans) problems.push({ type: 'tooMany', what: 'spans', most: mostWeekSpans });
  if (hours.datedWeeks.length > mostDatedWeeks) {
    problems.push({ type: 'tooMany', what: 'datedWeeks', most: mostDatedWeeks });
  }
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
