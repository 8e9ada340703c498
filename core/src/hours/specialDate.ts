import {
  dayInYear,
  easter,
  nthWeekday,
  readDate,
  weekdayOf,
  type Church,
  type DayNumber,
  type MonthDay,
  type Nth,
} from './calendar';
import { minutesOfDay, type DaySpan, type Weekday } from './week';
import type { SpecialDateId } from './ids';

/** On which days: once, or every year by a rule. `days` is how many days it lasts. */
export type When =
  /** From one day to another, both of them in it, as in ISO 8601: `2026-12-24`. */
  | { readonly type: 'once'; readonly from: string; readonly to: string }
  | ({ readonly type: 'yearly'; readonly days: number } & MonthDay)
  /** Such as the day after the fourth Thursday of November: `plusDays` is 1. */
  | {
      readonly type: 'nthWeekday';
      readonly nth: Nth;
      readonly weekday: Weekday;
      readonly month: number;
      readonly plusDays: number;
      readonly days: number;
    }
  /** Good Friday is 2 days before: `plusDays` is -2. */
  | { readonly type: 'easter'; readonly church: Church; readonly plusDays: number; readonly days: number };

/** What becomes of one that begins on a Saturday or Sunday. */
export const moves = ['stays', 'nextWorkday', 'nearestWorkday'] as const;
export type Move = (typeof moves)[number];

/** What is other than usual on these days, on each of them alike. */
export type SpecialHours =
  /** Nothing runs from one minute of the day to another: from 0 to 1440 all day. */
  | { readonly type: 'closed'; readonly startMin: number; readonly endMin: number }
  /** These times in place of the week's. */
  | { readonly type: 'times'; readonly spans: readonly DaySpan[] };

/** Days that are not as the week says. */
export interface SpecialDate {
  readonly id: SpecialDateId;
  /** 1 to 60 characters; greetings can say it. */
  readonly name: string;
  readonly when: When;
  readonly moved: Move;
  readonly hours: SpecialHours;
  /** What callers hear before anything else on these days; empty for nothing. */
  readonly words: string;
}

/** Days next to each other, both ends in it. */
export interface DayRange {
  readonly from: DayNumber;
  readonly to: DayNumber;
}

export const closedAllDay = { type: 'closed', startMin: 0, endMin: minutesOfDay } as const satisfies SpecialHours;
export const specialLimits = { most: 200, name: 60, words: 500, days: 31, plusDays: 366, times: 20 } as const;

/** The days it falls on, of those that begin in a year as reckoned without being moved; undefined where it does not. */
export function daysOf({ when, moved }: Pick<SpecialDate, 'when' | 'moved'>, year: number): DayRange | undefined {
  const range = rangeOf(when, year);
  if (!range) return undefined;
  const by = moveOf(moved, weekdayOf(range.from));
  return { from: range.from + by, to: range.to + by };
}

function rangeOf(when: When, year: number): DayRange | undefined {
  switch (when.type) {
    case 'once': {
      const [from, to] = [readDate(when.from), readDate(when.to)];
      const isThen = from !== undefined && to !== undefined && Number(when.from.slice(0, 4)) === year;
      return isThen ? { from, to } : undefined;
    }
    case 'yearly':
      return lasting(dayInYear(year, when), when.days);
    case 'nthWeekday': {
      const day = nthWeekday(year, when.month, when.weekday, when.nth);
      return day === undefined ? undefined : lasting(day + when.plusDays, when.days);
    }
    case 'easter':
      return lasting(easter(year, when.church) + when.plusDays, when.days);
  }
}

function lasting(from: DayNumber, days: number): DayRange {
  return { from, to: from + days - 1 };
}

function moveOf(moved: Move, weekday: Weekday): number {
  if (moved === 'stays' || weekday < 6) return 0;
  if (moved === 'nearestWorkday' && weekday === 6) return -1;
  return 8 - weekday;
}
