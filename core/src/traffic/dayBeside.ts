import type { Outcome } from '../call';
import { weekdayOf, type DayNumber } from '../hours';
import { quantile } from './intervals';
import { fateOf } from './when';

/** Calls of an hour of a day, and how many of them came by the minute that it is now. */
export interface DayHourSum {
  readonly day: DayNumber;
  readonly hour: number;
  readonly outcome: Outcome;
  readonly calls: number;
  readonly byNow: number;
}

/** How many weeks back a day is set beside others. */
export const weeksBeside = 8;

/** A day so far, beside such days as they usually are. */
export interface DayBeside {
  /** So far. */
  readonly calls: number;
  readonly lost: number;
  readonly messages: number;
  /** Such days that the log has, of the last eight weeks. */
  readonly days: number;
  /** By this time of such a day: half of them had no more; and between what half of them lay. Null of none. */
  readonly usualByNow: { readonly middle: number; readonly low: number; readonly high: number } | null;
  /** In each hour, from 0 to 23: calls today, and on the average of such days. */
  readonly hours: readonly { readonly today: number; readonly usual: number }[];
}

/** @param firstDay of the log; null where it is empty */
export function dayBeside(sums: readonly DayHourSum[], today: DayNumber, firstDay: DayNumber | null): DayBeside {
  const counted = sums.filter(({ outcome }) => fateOf[outcome] !== 'aside');
  const now = counted.filter(({ day }) => day === today);
  const days = Array.from({ length: weeksBeside }, (_, index) => today - 7 * (index + 1)).filter(
    (day) => firstDay !== null && day >= firstDay && weekdayOf(day) === weekdayOf(today),
  );
  const byNow = days
    .map((each) =>
      total(
        counted.filter(({ day }) => day === each),
        'byNow',
      ),
    )
    .sort((one, other) => one - other);
  const calls = (of: readonly DayHourSum[]): number => total(of, 'calls');
  return {
    calls: calls(now),
    lost: calls(now.filter(({ outcome }) => fateOf[outcome] === 'lost')),
    messages: calls(now.filter(({ outcome }) => fateOf[outcome] === 'message')),
    days: days.length,
    usualByNow:
      days.length > 0
        ? { middle: quantile(byNow, 0.5) ?? 0, low: quantile(byNow, 0.25) ?? 0, high: quantile(byNow, 0.75) ?? 0 }
        : null,
    hours: Array.from({ length: 24 }, (_, hour) => {
      const ofHour = counted.filter((each) => each.hour === hour);
      const before = calls(ofHour.filter(({ day }) => days.includes(day)));
      return {
        today: calls(ofHour.filter(({ day }) => day === today)),
        usual: days.length > 0 ? before / days.length : 0,
      };
    }),
  };
}

function total(sums: readonly DayHourSum[], name: 'calls' | 'byNow'): number {
  return sums.reduce((sum, each) => sum + each[name], 0);
}
