import { readDate, yearOf } from './calendar';

/** The years that are reckoned with: what a calendar or a zone says of others is anybody's guess. */
const years = { first: 1970, last: 2199 } as const;

/** The moments that are reckoned with, in ms since 1970. */
export const momentLimits = { least: Date.UTC(years.first, 0), most: Date.UTC(years.last + 1, 0) - 1 } as const;

/** Whether this is what a clock and a calendar on a wall can read, to the minute: `2026-11-23T09:30`. */
export function isReading(text: string): boolean {
  const [, date, hour, minute] = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2})$/.exec(text) ?? [];
  const day = date === undefined ? undefined : readDate(date);
  if (day === undefined || Number(hour) > 23 || Number(minute) > 59) return false;
  const year = yearOf(day);
  return year >= years.first && year <= years.last;
}
