import type { Weekday } from './week';

const dayMs = 86_400_000;

/** A day of the Gregorian calendar: how many days it is after 1 January 1970. */
export type DayNumber = number;

export interface MonthDay {
  /** 1 to 12. */
  readonly month: number;
  /** 1 to 31. 29 February stands for the last day of February in every year. */
  readonly day: number;
}

/** Which of the weekdays of a month: the first to the fifth, or the last. */
export type Nth = 1 | 2 | 3 | 4 | 5 | -1;

/** Whose Easter: the western churches' or that of the eastern ones, who reckon it by the Julian calendar. */
export type Church = 'western' | 'eastern';

export function dayNumber(year: number, month: number, day: number): DayNumber {
  return Date.UTC(year, month - 1, day) / dayMs;
}

/** The day written as in ISO 8601, such as `2026-11-24`; undefined where there is no such day. */
export function readDate(text: string): DayNumber | undefined {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return undefined;
  const day = Date.parse(`${text}T00:00Z`) / dayMs;
  return Number.isFinite(day) && showDate(day) === text ? day : undefined;
}

/** A day as in ISO 8601: `2026-11-24`. */
export function showDate(day: DayNumber): string {
  return new Date(day * dayMs).toISOString().slice(0, 10);
}

export function yearOf(day: DayNumber): number {
  return new Date(day * dayMs).getUTCFullYear();
}

export function monthDayOf(day: DayNumber): MonthDay {
  const date = new Date(day * dayMs);
  return { month: date.getUTCMonth() + 1, day: date.getUTCDate() };
}

/** 1 January 1970 was a Thursday. */
export function weekdayOf(day: DayNumber): Weekday {
  return (((((day + 3) % 7) + 7) % 7) + 1) as Weekday;
}

export function daysInMonth(year: number, month: number): number {
  return new Date(Date.UTC(year, month, 0)).getUTCDate();
}

/** The day in a year; the last of February for its 29th where there is none. */
export function dayInYear(year: number, { month, day }: MonthDay): DayNumber {
  return dayNumber(year, month, Math.min(day, daysInMonth(year, month)));
}

/** Whether some year has this day. */
export function isMonthDay({ month, day }: MonthDay): boolean {
  const isWhole = Number.isInteger(month) && Number.isInteger(day);
  return isWhole && month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(2024, month);
}

/** Such as the fourth Thursday of November; undefined where the month has no fifth one. */
export function nthWeekday(year: number, month: number, weekday: Weekday, nth: Nth): DayNumber | undefined {
  const first = dayNumber(year, month, 1);
  const last = first + daysInMonth(year, month) - 1;
  if (nth === -1) return last - ((weekdayOf(last) - weekday + 7) % 7);
  const found = first + ((weekday - weekdayOf(first) + 7) % 7) + (nth - 1) * 7;
  return found <= last ? found : undefined;
}

/** Easter Sunday by the computus: Gregorian for the western churches, Julian (given as a Gregorian day) for the eastern. */
export function easter(year: number, church: Church): DayNumber {
  return church === 'western' ? westernEaster(year) : easternEaster(year);
}

function westernEaster(year: number): DayNumber {
  const { floor } = Math;
  const golden = year % 19;
  const century = floor(year / 100);
  const leapless = century - floor(century / 4) - floor((8 * century + 13) / 25);
  const epact = (19 * golden + leapless + 15) % 30;
  const moon = epact - floor(epact / 28) * (1 - floor(29 / (epact + 1)) * floor((21 - golden) / 11));
  const weekday = (year + floor(year / 4) + moon + 2 - century + floor(century / 4)) % 7;
  const offset = moon - weekday;
  const month = 3 + floor((offset + 40) / 44);
  return dayNumber(year, month, offset + 28 - 31 * floor(month / 4));
}

function easternEaster(year: number): DayNumber {
  const moon = (19 * (year % 19) + 15) % 30;
  const weekday = (2 * (year % 4) + 4 * (year % 7) - moon + 34) % 7;
  const julian = moon + weekday + 114;
  const behind = Math.floor(year / 100) - Math.floor(year / 400) - 2;
  return dayNumber(year, Math.floor(julian / 31), (julian % 31) + 1) + behind;
}
