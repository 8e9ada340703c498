import { runningAt, wallTime, weekdayOf, type Hours, type TimeZone } from '../hours';

/** An hour ahead in which few people call. */
export interface QuietHour {
  readonly atMs: number;
  /** Calls to be expected in it, by the log. */
  readonly calls: number;
  /** Whether the business is open then, so that somebody is there for the first calls. */
  readonly isOpen: boolean;
}

export interface QuietHours {
  /** The quietest of all; undefined only where no hour lies ahead. */
  readonly quietest: QuietHour | undefined;
  /** The quietest while it is open; undefined where it does not open. */
  readonly whileOpen: QuietHour | undefined;
  /** How many calls the log had to go by, and over how many weeks. */
  readonly calls: number;
  readonly weeks: number;
}

const minuteMs = 60_000;
const hourMs = 60 * minuteMs;
const weekMs = 7 * 24 * hourMs;

/**
 * The quietest hours of the days ahead, by how many people called at the same hour of the same weekday before. Whole
 * hours by the clock; of several alike the soonest.
 */
export function quietestHours(
  startedAt: readonly number[],
  hours: Hours,
  zone: TimeZone,
  nowMs: number,
  days = 3,
): QuietHours {
  const counts = countsByHour(startedAt, zone);
  const first = startedAt.reduce((least, at) => Math.min(least, at), nowMs);
  const weeks = Math.max(1, Math.round((nowMs - first) / weekMs));
  const ahead = hoursAhead(zone, nowMs, days).map((atMs): QuietHour => {
    const calls = (counts.get(hourKey(zone, atMs)) ?? 0) / weeks;
    return { atMs, calls, isOpen: isOpenAt(hours, zone, atMs) };
  });
  return {
    quietest: least(ahead),
    whileOpen: least(ahead.filter(({ isOpen }) => isOpen)),
    calls: startedAt.length,
    weeks,
  };
}

function least(all: readonly QuietHour[]): QuietHour | undefined {
  return all.reduce<QuietHour | undefined>((best, each) => (!best || each.calls < best.calls ? each : best), undefined);
}

/** Some zones are half an hour or a quarter off whole hours of UTC. */
function hoursAhead(zone: TimeZone, nowMs: number, days: number): readonly number[] {
  const soon = Math.ceil(nowMs / minuteMs) * minuteMs + minuteMs;
  const past = wallTime(zone, soon).minute % 60;
  const first = past === 0 ? soon : soon + (60 - past) * minuteMs;
  return Array.from({ length: days * 24 }, (_, index) => first + index * hourMs);
}

function countsByHour(startedAt: readonly number[], zone: TimeZone): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const atMs of startedAt) {
    const key = hourKey(zone, atMs);
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return counts;
}

function hourKey(zone: TimeZone, atMs: number): string {
  const { day, minute } = wallTime(zone, atMs);
  return `${weekdayOf(day)} ${Math.floor(minute / 60)}`;
}

function isOpenAt(hours: Hours, zone: TimeZone, atMs: number): boolean {
  const first = hours.periods[0]?.id;
  return runningAt(hours, zone, atMs).spans.some(({ periodId }) => periodId === first);
}
