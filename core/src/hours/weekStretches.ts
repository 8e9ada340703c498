import type { DayNumber } from './calendar';
import { datedWeekOn, firstDay, inOrder } from './datedWeek';
import type { DatedWeekId, SeasonId } from './ids';
import type { DayRange } from './specialDate';
import { weekIdOn, weekOn, type WeekOfDay, type Weeks } from './weekOn';

/** Days in a row that have the same week. */
export interface WeekStretch extends DayRange {
  readonly week: WeekOfDay;
}

/** From one day to another, both in it, the stretches that have the same week; they meet without gap. */
export function weekStretches(hours: Weeks, { from, to }: DayRange): readonly WeekStretch[] {
  const found: WeekStretch[] = [];
  let id: SeasonId | DatedWeekId | null | undefined;
  for (let day = from; day <= to; day += 1) {
    const now = weekIdOn(hours, day);
    const last = found.at(-1);
    if (last && now === id) found[found.length - 1] = { ...last, to: day };
    else found.push({ from: day, to: day, week: weekOn(hours, day) });
    id = now;
  }
  return found;
}

/** The week in whose place a dated one comes: the dated one before it, else the regular one. */
export function weekBefore(hours: Weeks, from: DayNumber): WeekOfDay {
  const dated = datedWeekOn(hours.datedWeeks, from - 1);
  return dated ? { type: 'dated', of: dated } : { type: 'regular', of: hours };
}

/** The last day of a dated week, of the regular one where no id is given; undefined where nothing takes its place. */
export function lastDayOf({ datedWeeks }: Weeks, id: DatedWeekId | null): DayNumber | undefined {
  const all = inOrder(datedWeeks);
  const next = all[all.findIndex((each) => each.id === id) + 1];
  return next && firstDay(next) - 1;
}
