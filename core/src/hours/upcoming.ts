import { yearOf, type DayNumber } from './calendar';
import { specialDaysOf } from './dayPlan';
import type { Hours } from './hours';
import type { DayRange, SpecialDate } from './specialDate';

/** One time that a special date comes round. */
export interface Occurrence extends DayRange {
  readonly date: SpecialDate;
}

/** Every special date with the days it falls on, from one day to another, in their order. */
export function occurrences(hours: Hours, from: DayNumber, to: DayNumber): readonly Occurrence[] {
  const found: Occurrence[] = [];
  for (let year = yearOf(from) - 1; year <= yearOf(to) + 1; year += 1) {
    found.push(...specialDaysOf(hours, year).filter((each) => each.to >= from && each.from <= to));
  }
  return found.sort((one, other) => one.from - other.from || one.to - other.to);
}

/** Pairs of special dates that share a day: which of them holds then, and which does not. */
export function overlaps(
  hours: Hours,
  from: DayNumber,
  to: DayNumber,
): readonly { readonly one: Occurrence; readonly other: Occurrence }[] {
  const all = occurrences(hours, from, to);
  return all.flatMap((one, index) =>
    all
      .slice(index + 1)
      .filter((other) => other.date.id !== one.date.id && other.from <= one.to)
      .map((other) => ({ one, other })),
  );
}
