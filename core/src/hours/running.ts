import { showDate, type DayNumber } from './calendar';
import { dayPlan, type PlannedSpan } from './dayPlan';
import { type Hours } from './hours';
import { minutesOfDay } from './week';
import type { PeriodId } from './ids';
import type { SpecialDate } from './specialDate';
import { instantOf, offsetStretchAt, type TimeZone } from './timeZone';

const minuteMs = 60_000;
const dayMs = minutesOfDay * minuteMs;

/** What runs at an instant. */
export interface Running {
  /** The spans that run, those of the day before first, each day's in the order entered. */
  readonly spans: readonly PlannedSpan[];
  /** The special date it is, where that keeps anything from running and nothing else runs; null otherwise. */
  readonly special: SpecialDate | null;
}

/** The day by the clock on the wall, and the minutes after its midnight. */
interface WallTime {
  readonly day: DayNumber;
  readonly minute: number;
}

/**
 * What runs at an instant.
 *
 * What the clock on the wall reads decides. When clocks go back, the hour that comes twice is treated alike both
 * times; when they go forward, what lies wholly in the skipped hour does not happen that day. What runs over midnight
 * belongs to the day it began on: it runs on into a special date, and a special date's runs on out of it.
 */
export function runningAt(hours: Hours, zone: TimeZone, atMs: number): Running {
  const { day, minute } = wallTime(zone, atMs);
  const [before, today] = [dayPlan(hours, day - 1), dayPlan(hours, day)];
  const spans: PlannedSpan[] = [];
  for (const span of before.spans) {
    if (minute + minutesOfDay < span.endMin) spans.push(span);
  }
  for (const span of today.spans) {
    if (minute >= span.startMin && minute < span.endMin) spans.push(span);
  }
  const { special } = today;
  return { spans, special: special && spans.length === 0 && keepsAway(special, minute) ? special : null };
}

function keepsAway({ hours }: SpecialDate, minute: number): boolean {
  return hours.type === 'times' || (minute >= hours.startMin && minute < hours.endMin);
}

/** The periods that run at an instant; see `runningAt`. */
export function periodsAt(hours: Hours, zone: TimeZone, atMs: number): ReadonlySet<PeriodId> {
  return new Set(runningAt(hours, zone, atMs).spans.map((span) => span.periodId));
}

/** Whether somebody who keeps these hours works at an instant: any period of theirs runs. */
export function isWorkingAt(hours: Hours, zone: TimeZone, atMs: number): boolean {
  return runningAt(hours, zone, atMs).spans.length > 0;
}

/** The next instant after this one at which a span starts or ends, a day begins, or the clocks change. */
export function nextBoundary(hours: Hours, zone: TimeZone, atMs: number): number {
  const { untilMs } = offsetStretchAt(zone, atMs);
  const { day, minute } = wallTime(zone, atMs);
  let nearest = minutesOfDay;
  const consider = (boundary: number): void => {
    if (boundary > minute && boundary < nearest) nearest = boundary;
  };
  for (const { endMin } of dayPlan(hours, day - 1).spans) consider(endMin - minutesOfDay);
  const { spans, special } = dayPlan(hours, day);
  for (const { startMin, endMin } of spans) {
    consider(startMin);
    consider(endMin);
  }
  if (special?.hours.type === 'closed') {
    consider(special.hours.startMin);
    consider(special.hours.endMin);
  }
  return Math.min(atMs + (nearest - minute) * minuteMs, untilMs);
}

/** What a zone's clock on the wall says. */
export function wallTime(zone: TimeZone, atMs: number): WallTime {
  const local = atMs + offsetStretchAt(zone, atMs).offsetMs;
  const day = Math.floor(local / dayMs);
  return { day, minute: (local - day * dayMs) / minuteMs };
}

/** The instant at which a zone's clock reads a minute of a day, from 0; from 1440 on it is the next day's. */
export function wallInstant(zone: TimeZone, day: DayNumber, minute: number): number {
  const two = (value: number): string => String(value).padStart(2, '0');
  const ofDay = minute % minutesOfDay;
  const date = showDate(day + Math.floor(minute / minutesOfDay));
  return instantOf(`${date}T${two(Math.floor(ofDay / 60))}:${two(ofDay % 60)}`, zone);
}
