import { readDate, type DayNumber } from './calendar';
import type { DatedWeekId } from './ids';
import type { WeekSpan } from './week';

/** A regular week that begins on a date and stays until the next one begins. Days of a season are the season's all the same. */
export interface DatedWeek {
  readonly id: DatedWeekId;
  /** 1 to 40 characters. */
  readonly name: string;
  /** Its first day, as in ISO 8601: 2027-01-04. */
  readonly from: string;
  readonly week: readonly WeekSpan[];
}

export type DatedWeekProblem =
  | { readonly type: 'datedWeekName'; readonly name: string }
  | { readonly type: 'datedWeekDate'; readonly name: string }
  | { readonly type: 'datedWeeksMeet'; readonly name: string; readonly other: string };

export const longestWeekName = 40;
export const mostDatedWeeks = 50;

/** Each needs a name and a day that there is, and no two begin on one day. */
export function datedWeekProblems(datedWeeks: readonly DatedWeek[]): DatedWeekProblem[] {
  return datedWeeks.flatMap((each, index): DatedWeekProblem[] => {
    const name = each.name.trim();
    if (name === '' || name.length > longestWeekName) return [{ type: 'datedWeekName', name }];
    if (readDate(each.from) === undefined) return [{ type: 'datedWeekDate', name }];
    const other = datedWeeks.slice(0, index).find(({ from }) => from === each.from);
    return other ? [{ type: 'datedWeeksMeet', name, other: other.name }] : [];
  });
}

/** In the order in which they begin. */
export function inOrder(datedWeeks: readonly DatedWeek[]): readonly DatedWeek[] {
  return [...datedWeeks].sort((one, other) => firstDay(one) - firstDay(other));
}

export function firstDay({ from }: Pick<DatedWeek, 'from'>): DayNumber {
  return readDate(from) ?? Infinity;
}

/** The dated week that holds on a day; undefined before the first. */
export function datedWeekOn(datedWeeks: readonly DatedWeek[], day: DayNumber): DatedWeek | undefined {
  let latest: DatedWeek | undefined;
  for (const each of datedWeeks) {
    const begins = firstDay(each);
    if (begins <= day && (!latest || begins > firstDay(latest))) latest = each;
  }
  return latest;
}
