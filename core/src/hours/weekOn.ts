import type { DayNumber } from './calendar';
import { datedWeekOn, type DatedWeek } from './datedWeek';
import type { DatedWeekId, SeasonId } from './ids';
import { seasonOn, type Season } from './season';
import type { WeekSpan } from './week';

/** Which week a day has. */
export type WeekOfDay =
  | { readonly type: 'season'; readonly of: Season }
  | { readonly type: 'dated'; readonly of: DatedWeek }
  /** The regular week that was there first. */
  | { readonly type: 'regular'; readonly of: Pick<Weeks, 'week'> };

/** The weeks that some hours have at one time or another. */
export interface Weeks {
  /** The regular week; the one that holds until the first dated week begins. */
  readonly week: readonly WeekSpan[];
  readonly datedWeeks: readonly DatedWeek[];
  readonly seasons: readonly Season[];
}

/** The week of a day, special dates aside: its season's, else that of the last dated week that has begun, else the regular one. */
export function weekOn(hours: Weeks, day: DayNumber): WeekOfDay {
  const season = seasonOn(hours.seasons, day);
  if (season) return { type: 'season', of: season };
  const dated = datedWeekOn(hours.datedWeeks, day);
  return dated ? { type: 'dated', of: dated } : { type: 'regular', of: hours };
}

/** The season or dated week that a day has its week from; null for the regular one. */
export function weekIdOn(hours: Weeks, day: DayNumber): SeasonId | DatedWeekId | null {
  const week = weekOn(hours, day);
  return week.type === 'regular' ? null : week.of.id;
}

/** The spans of the week of a day; the very same list for days that have the same week. */
export function spansOfWeekOn(hours: Weeks, day: DayNumber): readonly WeekSpan[] {
  return weekOn(hours, day).of.week;
}

/** Every week that these hours have at some time. */
export function allWeeks({ week, datedWeeks, seasons }: Weeks): readonly (readonly WeekSpan[])[] {
  return [week, ...datedWeeks.map((each) => each.week), ...seasons.map((each) => each.week)];
}

/** The same with each of its weeks changed. */
export function withEachWeek<Of extends Weeks>(
  hours: Of,
  change: (week: readonly WeekSpan[]) => readonly WeekSpan[],
): Of {
  const changed = <Has extends Pick<Weeks, 'week'>>(of: Has): Has => ({ ...of, week: change(of.week) });
  return { ...changed(hours), datedWeeks: hours.datedWeeks.map(changed), seasons: hours.seasons.map(changed) };
}
