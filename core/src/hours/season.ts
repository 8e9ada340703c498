import { dayInYear, isMonthDay, monthDayOf, yearOf, type DayNumber, type MonthDay } from './calendar';
import type { WeekSpan } from './week';
import type { SeasonId } from './ids';

/** Another regular week between two dates of every year, both in it; over the end of the year too. */
export interface Season {
  readonly id: SeasonId;
  /** 1 to 40 characters. */
  readonly name: string;
  readonly from: MonthDay;
  readonly to: MonthDay;
  readonly week: readonly WeekSpan[];
}

export type SeasonProblem =
  | { readonly type: 'seasonName'; readonly name: string }
  | { readonly type: 'seasonDate'; readonly name: string }
  | { readonly type: 'seasonsMeet'; readonly name: string; readonly other: string };

export const longestSeasonName = 40;

export function isInSeason({ from, to }: Pick<Season, 'from' | 'to'>, day: DayNumber): boolean {
  const year = yearOf(day);
  const [first, last] = [dayInYear(year, from), dayInYear(year, to)];
  return first <= last ? day >= first && day <= last : day >= first || day <= last;
}

/** Each needs a name and dates that there are, and no day can be in two of them. */
export function seasonProblems(seasons: readonly Season[]): SeasonProblem[] {
  return seasons.flatMap((season, index): SeasonProblem[] => {
    const { from, to } = season;
    const name = season.name.trim();
    if (name === '' || name.length > longestSeasonName) return [{ type: 'seasonName', name }];
    if (!isMonthDay(from) || !isMonthDay(to)) return [{ type: 'seasonDate', name }];
    const other = seasons
      .slice(0, index)
      .find((each) => isMonthDay(each.from) && isMonthDay(each.to) && meet(each, season));
    return other ? [{ type: 'seasonsMeet', name, other: other.name }] : [];
  });
}

/** Two stretches of the year meet where one begins in the other. */
function meet(one: Season, other: Season): boolean {
  return isInSeason(one, dayInYear(leapYear, other.from)) || isInSeason(other, dayInYear(leapYear, one.from));
}

const usualSeason = { from: { month: 6, day: 1 }, to: { month: 8, day: 31 } } as const;
const usualDays = 92;
const leapYear = 2024;

/**
 * Dates for a further season: the summer where that is free, else up to three months from the beginning of the longest
 * stretch of the year that is in no season. Undefined where every day is in one.
 */
export function freeSeasonDates(seasons: readonly Season[]): Pick<Season, 'from' | 'to'> | undefined {
  if (!seasons.some((season) => meet({ ...season, ...usualSeason }, season))) return usualSeason;
  const first = dayInYear(leapYear, { month: 1, day: 1 });
  const year = dayInYear(leapYear, { month: 12, day: 31 }) - first + 1;
  const isFree = (at: number): boolean => !seasons.some((season) => isInSeason(season, first + (at % year)));
  let best = { at: 0, days: 0 };
  for (let at = 0; at < year; at += 1) {
    if (!isFree(at) || (isFree(at + year - 1) && at > 0)) continue;
    let days = 1;
    while (days < year && isFree(at + days)) days += 1;
    if (days > best.days) best = { at, days };
  }
  if (best.days === 0) return undefined;
  const dateAt = (at: number): MonthDay => monthDayOf(first + (at % year));
  return { from: dateAt(best.at), to: dateAt(best.at + Math.min(best.days, usualDays) - 1) };
}

/** The season a day is in; undefined for none. */
export function seasonOn(seasons: readonly Season[], day: DayNumber): Season | undefined {
  return seasons.find((season) => isInSeason(season, day));
}
