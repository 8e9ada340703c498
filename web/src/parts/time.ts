import { clockReading, type DayNumber, type TimeZone } from '@locutor/core/hours';
import type { Dial } from '@locutor/core/traffic';

/** A time of day in a zone and the user's own format: "5:30 PM" or "17:30". */
export function showClock(atMs: number, timeZone: TimeZone): string {
  return plainSpaces(new Intl.DateTimeFormat(undefined, { timeZone, hour: 'numeric', minute: '2-digit' }).format(atMs));
}

/** How the user's own format tells hours. */
export const userDial: Dial =
  new Intl.DateTimeFormat(undefined, { hour: 'numeric' }).resolvedOptions().hour12 === false ? 'twentyFour' : 'twelve';

/** Day and time, with the day left out or said as today or tomorrow where it is near. */
export function showWhen(atMs: number, timeZone: TimeZone, nowMs: number): string {
  const clock = showClock(atMs, timeZone);
  const days = daysApart(nowMs, atMs, timeZone);
  if (days === 0) return `${clock} today`;
  if (days === 1) return `${clock} tomorrow`;
  if (days === -1) return `${clock} yesterday`;
  const near = days > 0 && days < 7;
  const date = new Intl.DateTimeFormat(
    undefined,
    near ? { timeZone, weekday: 'long' } : { timeZone, weekday: 'short', day: 'numeric', month: 'short' },
  ).format(atMs);
  return `${date} ${clock}`;
}

/** A day in full, the year always said: "Monday, January 4, 2027". */
export function showLongDay(day: DayNumber): string {
  return new Intl.DateTimeFormat(undefined, { dateStyle: 'full', timeZone: 'UTC' }).format(day * 86_400_000);
}

/** A stretch as minutes and seconds: `1:05`. */
export function showLength(ms: number): string {
  const seconds = Math.round(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Minutes after midnight in the user's own format; what lies past midnight is of the next day. */
export function showMinutes(minutes: number): string {
  const at = Date.UTC(2000, 0, 1, 0, minutes % 1440);
  return showClock(at, 'UTC');
}

/** The thin space that some formats put before AM and PM is as wide as a letter in the mono face. */
function plainSpaces(text: string): string {
  return text.replace(/\u202f/g, ' ');
}

function daysApart(fromMs: number, toMs: number, timeZone: TimeZone): number {
  const day = (atMs: number): number => Date.parse(`${clockReading(atMs, timeZone).slice(0, 10)}T00:00Z`);
  return Math.round((day(toMs) - day(fromMs)) / 86_400_000);
}

/** The hour of a day in a spreadsheet: `08:00`. */
export function hourCell(hour: number): string {
  return `${String(hour).padStart(2, '0')}:00`;
}
