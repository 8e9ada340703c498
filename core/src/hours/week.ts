import { minutesOfDay, minutesOfWeek, type Hours, type WeekSpan } from './hours';
import type { PeriodId } from './ids';
import { offsetStretchAt, type TimeZone } from './timeZone';

const minuteMs = 60_000;
const weekMs = minutesOfWeek * minuteMs;
/** 1 January 1970 was a Thursday: this moves the start of the count to a Monday. */
const mondayShiftMs = 3 * minutesOfDay * minuteMs;

/**
 * The spans of the regular week that run at an instant, in the order they were entered.
 *
 * What the clock on the wall reads decides. When clocks go back, the hour that comes twice is treated alike both
 * times; when they go forward, what lies wholly in the skipped hour does not happen that day.
 */
export function spansAt(hours: Hours, zone: TimeZone, atMs: number): readonly WeekSpan[] {
  const minute = weekMsAt(zone, atMs) / minuteMs;
  return hours.week.filter((span) => runsAt(span, minute));
}

/** The periods that run at an instant; see `spansAt`. */
export function periodsAt(hours: Hours, zone: TimeZone, atMs: number): ReadonlySet<PeriodId> {
  return new Set(spansAt(hours, zone, atMs).map((span) => span.periodId));
}

/** Whether somebody who keeps these hours works at an instant: any period of theirs runs. */
export function isWorkingAt(hours: Hours, zone: TimeZone, atMs: number): boolean {
  return spansAt(hours, zone, atMs).length > 0;
}

/** The next instant after this one at which a span starts or ends, or the clocks change. */
export function nextBoundary(hours: Hours, zone: TimeZone, atMs: number): number {
  const { untilMs } = offsetStretchAt(zone, atMs);
  const now = weekMsAt(zone, atMs);
  let nearest = weekMs;
  for (const span of hours.week) {
    for (const minute of [span.startMin, span.endMin]) {
      const boundary = ((span.day - 1) * minutesOfDay + minute) * minuteMs;
      const ahead = (((boundary - now) % weekMs) + weekMs) % weekMs;
      if (ahead > 0 && ahead < nearest) nearest = ahead;
    }
  }
  return Math.min(atMs + nearest, untilMs);
}

function weekMsAt(zone: TimeZone, atMs: number): number {
  const local = atMs + offsetStretchAt(zone, atMs).offsetMs + mondayShiftMs;
  return ((local % weekMs) + weekMs) % weekMs;
}

function runsAt(span: WeekSpan, minuteOfWeek: number): boolean {
  const start = (span.day - 1) * minutesOfDay + span.startMin;
  const end = (span.day - 1) * minutesOfDay + span.endMin;
  return (
    (minuteOfWeek >= start && minuteOfWeek < end) ||
    (minuteOfWeek + minutesOfWeek >= start && minuteOfWeek + minutesOfWeek < end)
  );
}
