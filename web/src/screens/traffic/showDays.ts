import type { DayNumber, DayRange } from '@locutor/core/hours';

const dayMs = 86_400_000;

/** Days in the user's own format: "November 1 – 28, 2026". */
export function showDays({ from, to }: DayRange): string {
  const format = new Intl.DateTimeFormat(undefined, { dateStyle: 'long', timeZone: 'UTC' });
  return format.formatRange(from * dayMs, to * dayMs);
}

/** A day and month, such as for the axis of a chart. */
export function showShortDay(day: DayNumber): string {
  return new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(day * dayMs);
}

/** The day of a moment, by the user's own clock: "May 12, 2026". */
export function showDay(atMs: number): string {
  return new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' }).format(atMs);
}
