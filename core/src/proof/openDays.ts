import type { Hours, WeekSpan, Weekday } from '../hours';
import { rememberBy } from './remember';

/** The weekdays on which the first period, such as Open, runs in a week; one that begins the evening before counts for its own. */
export const openDays = rememberBy(
  (hours: Hours, week: readonly WeekSpan[]): ReadonlySet<Weekday> =>
    new Set(week.flatMap(({ periodId, day }) => (periodId === hours.periods[0]?.id ? [day] : []))),
);
