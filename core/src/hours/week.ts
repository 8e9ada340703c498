import type { PeriodId } from './ids';

/** A named stretch of the day, such as Open or Lunch. */
export interface Period {
  readonly id: PeriodId;
  /** 1 to 40 characters, the only one of its name in these hours. */
  readonly name: string;
}

/** Day of the week as in ISO 8601: 1 is Monday, 7 is Sunday. */
export type Weekday = 1 | 2 | 3 | 4 | 5 | 6 | 7;

export const weekdays: readonly Weekday[] = [1, 2, 3, 4, 5, 6, 7];

export const minutesOfDay = 1440;

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

/** Whether it starts within the day and ends at most a day later. */
export function timesAreRight({ startMin, endMin }: Pick<DaySpan, 'startMin' | 'endMin'>): boolean {
  return isStart(startMin) && isWhole(endMin, startMin + 1, startMin + minutesOfDay);
}

/** Whether it is a minute of the day. */
export function isStart(minute: number): boolean {
  return isWhole(minute, 0, minutesOfDay - 1);
}

function isWhole(value: number, from: number, to: number): boolean {
  return Number.isInteger(value) && value >= from && value <= to;
}
