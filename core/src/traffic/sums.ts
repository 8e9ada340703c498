import type { Outcome } from '../call';
import { weekdayOf, type DayNumber, type Weekday } from '../hours';
import type { DayOfCalls } from './dayOfCalls';

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

/** What the log holds of when people called. */
export interface WhenSums {
  readonly byHour: readonly HourSum[];
  readonly byDay: readonly DaySum[];
  /** The first day in the whole log, of these lines; null where it is empty. */
  readonly firstDay: DayNumber | null;
}

/** The calls of some days, summed, in the order of time; a day may come more than once, as of several lines. */
export function sumsOf(days: Iterable<Pick<DayOfCalls, 'day' | 'calls'>>): Omit<WhenSums, 'firstDay'> {
  const hours = new Map<number, Map<Outcome, number>>();
  const byOneDay = new Map<DayNumber, Map<Outcome, number>>();
  for (const { day, calls } of days) {
    const ofDay = countsOf(byOneDay, day);
    const midnight = weekdayOf(day) * 24;
    for (const { minute, outcome } of calls) {
      const ofHour = countsOf(hours, midnight + Math.floor(minute / 60));
      ofHour.set(outcome, (ofHour.get(outcome) ?? 0) + 1);
      ofDay.set(outcome, (ofDay.get(outcome) ?? 0) + 1);
    }
  }
  return {
    byHour: flat(hours, (hour) => ({ weekday: Math.floor(hour / 24) as Weekday, hour: hour % 24 })),
    byDay: flat(byOneDay, (day) => ({ day })),
  };
}

function countsOf(all: Map<number, Map<Outcome, number>>, key: number): Map<Outcome, number> {
  let counts = all.get(key);
  if (!counts) all.set(key, (counts = new Map()));
  return counts;
}

function flat<When>(
  all: ReadonlyMap<number, ReadonlyMap<Outcome, number>>,
  whenOf: (key: number) => When,
): (When & { readonly outcome: Outcome; readonly calls: number })[] {
  return [...all]
    .sort(([one], [other]) => one - other)
    .flatMap(([key, counts]) => [...counts].sort().map(([outcome, calls]) => ({ ...whenOf(key), outcome, calls })));
}
