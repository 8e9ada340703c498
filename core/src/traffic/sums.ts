import type { Outcome } from '../call';
import type { DayNumber, Weekday } from '../hours';

/** Calls of a weekday and an hour of the day, by what they came to. */
export interface HourSum {
  readonly weekday: Weekday;
  /** From 0 to 23. */
  readonly hour: number;
  readonly outcome: Outcome;
  readonly calls: number;
}

/** Calls of a day, by what they came to. */
export interface DaySum {
  readonly day: DayNumber;
  readonly outcome: Outcome;
  readonly calls: number;
}

/** What the log holds of when people called, summed by the server. */
export interface WhenSums {
  readonly byHour: readonly HourSum[];
  readonly byDay: readonly DaySum[];
  /** The first day in the whole log, of these lines; null where it is empty. */
  readonly firstDay: DayNumber | null;
}
