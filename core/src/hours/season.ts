import { dayInYear, isMonthDay, monthDayOf, yearOf, type DayNumber, type MonthDay } from './calendar';
import type { DayRange } from './specialDate';
import type { WeekSpan } from './week';
import type { SeasonId } from './ids';

/** The years in which a season begins that is not there every year, both in it; null for any. */
export interface SeasonYears {
  readonly first: number | null;
  readonly last: number | null;
}

/** Another regular week between two dates of the year, both in it; over the end of the year too. */
export interface Season {
  readonly id: SeasonId;
  /** 1 to 40 characters. */
  readonly name: string;
  readonly from: MonthDay;
  readonly to: MonthDay;
  /** Left out, it comes every year. */
  readonly years?: SeasonYears;
  readonly week: readonly WeekSpan[];
}

export type SeasonProblem =
  | { readonly type: 'seasonName'; readonly name: string }
  | { readonly type: 'seasonDate'; readonly name: string }
  | { readonly type: 'seasonYears'; readonly name: string }
  | { readonly type: 'seasonsMeet'; readonly name: string; readonly other: string };

export const longestSeasonName = 40;

export function isInSeason(season: Pick<Season, 'from' | 'to' | 'years'>, day: DayNumber): boolean {
  const year = yearOf(day);
  // Over the end of the year it belongs to the year in which it begins.
  return [year, year - 1].some((begun) => {
    const days = seasonDays(season, begun);
    return days !== undefined && day >= days.from && day <= days.to;
  });
}

/** The days of the season that begins in a year; undefined where none does. */
export function seasonDays(
  { from, to, years }: Pick<Season, 'from' | 'to' | 'years'>,
  year: number,
): DayRange | undefined {
  if (year < (years?.first ?? -Infinity) || year > (years?.last ?? Infinity)) return undefined;
  const [first, last] = [dayInYear(year, from), dayInYear(year, to)];
  return { from: first, to: first <= last ? last : dayInYear(year + 1, to) };
}

/** Each needs a name and dates that there are, and no day can be in two of them. */
export function seasonProblems(seasons: readonly Season[]): SeasonProblem[] {
  return seasons.flatMap((season, index): SeasonProblem[] => {
    const { from, to } = season;
    const name = season.name.trim();
    if (name === '' || name.length > longestSeasonName) return [{ type: 'seasonName', name }];
    if (!isMonthDay(from) || !isMonthDay(to)) return [{ type: 'seasonDate', name }];
    if (!areYears(season.years)) return [{ type: 'seasonYears', name }];
    const other = seasons
      .slice(0, index)
      .find((each) => isMonthDay(each.from) && isMonthDay(each.to) && meet(each, season));
    return other ? [{ type: 'seasonsMeet', name, other: other.name }] : [];
  });
}

export const seasonYearLimits = { least: 1970, most: 9998 } as const;

function areYears(years: SeasonYears | undefined): boolean {
  const { least, most } = seasonYearLimits;
  const { first = null, last = null } = years ?? {};
  const isYear = (year: number | null): boolean =>
    year === null || (Number.isInteger(year) && year >= least && year <= most);
  return isYear(first) && isYear(last) && (first === null || last === null || first <= last);
}

/** Whether two seasons share a day: those that begin in the same year, or one in the year after the other. */
function meet(one: Season, other: Season): boolean {
  return [-1, 0, 1].some((by) => {
    const first = Math.max(one.years?.first ?? -Infinity, (other.years?.first ?? -Infinity) - by);
    const last = Math.min(one.years?.last ?? Infinity, (other.years?.last ?? Infinity) - by);
    if (first > last) return false;
    // What holds in a leap year and in one that is none holds in all.
    const some = Number.isFinite(first) ? first : Number.isFinite(last) ? last - 3 : leapYear;
    return [0, 1, 2, 3]
      .map((more) => some + more)
      .filter((year) => year >= first && year <= last)
      .some((year) => {
        const [ofOne, ofOther] = [seasonDays(one, year), seasonDays(other, year + by)];
        return ofOne && ofOther && ofOne.from <= ofOther.to && ofOther.from <= ofOne.to;
      });
  });
}

const usualSeason = { from: { month: 6, day: 1 }, to: { month: 8, day: 31 } } as const;
const everyYear: SeasonYears = { first: null, last: null };
const usualDays = 92;
const leapYear = 2024;

/**
 * Dates for a further season: the summer where that is free, else up to three months from the beginning of the longest
 * stretch of the year that is in no season. Undefined where every day is in one.
 */
export function freeSeasonDates(seasons: readonly Season[]): Pick<Season, 'from' | 'to'> | undefined {
  if (!seasons.some((season) => meet({ ...season, ...usualSeason, years: everyYear }, season))) return usualSeason;
  const first = dayInYear(leapYear, { month: 1, day: 1 });
  const year = dayInYear(leapYear, { month: 12, day: 31 }) - first + 1;
  const isFree = (at: number): boolean =>
    !seasons.some((season) => isInSeason({ ...season, years: everyYear }, first + (at % year)));
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
