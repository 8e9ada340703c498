import { Temporal } from 'temporal-polyfill';

/** An IANA time zone name, such as `America/New_York`. */
export type TimeZone = string;

/** Whether this is a zone of the IANA database. Bare offsets such as `+05:00` are not: they know no daylight saving. */
export function isTimeZone(text: string): boolean {
  if (!/^[A-Za-z]/.test(text)) return false;
  try {
    new Intl.DateTimeFormat('en-US', { timeZone: text });
    return true;
  } catch {
    return false;
  }
}

interface OffsetStretch {
  readonly fromMs: number;
  /** The next clock change; Infinity where none is known. */
  readonly untilMs: number;
  readonly offsetMs: number;
}

const stretches = new Map<TimeZone, OffsetStretch>();

/** The stretch around an instant in which the zone's clocks run evenly. The last one of each zone is remembered. */
export function offsetStretchAt(zone: TimeZone, atMs: number): OffsetStretch {
  const known = stretches.get(zone);
  if (known && atMs >= known.fromMs && atMs < known.untilMs) return known;
  const here = Temporal.Instant.fromEpochMilliseconds(Math.floor(atMs)).toZonedDateTimeISO(zone);
  const next = here.getTimeZoneTransition('next');
  const last = here.add({ nanoseconds: 1 }).getTimeZoneTransition('previous');
  const stretch = {
    fromMs: last?.epochMilliseconds ?? -Infinity,
    untilMs: next?.epochMilliseconds ?? Infinity,
    offsetMs: here.offsetNanoseconds / 1e6,
  };
  stretches.set(zone, stretch);
  return stretch;
}

/**
 * The instant at which a zone's clock reads a date and time such as `2026-11-23T09:30`.
 * A reading skipped by a clock change means the time after the gap; one that comes twice means the first.
 */
export function instantOf(dateTime: string, zone: TimeZone): number {
  return Temporal.PlainDateTime.from(dateTime).toZonedDateTime(zone, { disambiguation: 'compatible' })
    .epochMilliseconds;
}

/** What a zone's clock reads at an instant, to the minute: `2026-11-23T09:30`. */
export function clockReading(atMs: number, zone: TimeZone): string {
  const here = Temporal.Instant.fromEpochMilliseconds(Math.floor(atMs)).toZonedDateTimeISO(zone);
  return here.toPlainDateTime().toString({ smallestUnit: 'minute' });
}

/** The day by a zone's calendar at an instant: `2026-11-23`. */
export function dayAt(atMs: number, zone: TimeZone): string {
  return clockReading(atMs, zone).slice(0, 10);
}
