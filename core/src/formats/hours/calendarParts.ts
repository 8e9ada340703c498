import ICAL from 'ical.js';
import { monthDayOf, yearOf, type DayNumber } from '../../hours';

// The package counts without the space that folded lines begin with; a line has 75 octets at most (RFC 5545, section 3.1).
ICAL.foldLength = 74;

export type CalendarComponent = InstanceType<typeof ICAL.Component>;

/**
 * A calendar without events yet (RFC 5545).
 *
 * @param product what of the application writes it, in one word
 */
export function startCalendar(name: string, product: string): CalendarComponent {
  const calendar = new ICAL.Component(['vcalendar', [], []]);
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', `-//Locutor//${product}//EN`);
  calendar.addPropertyWithValue('calscale', 'GREGORIAN');
  calendar.addPropertyWithValue('name', name);
  calendar.addPropertyWithValue('x-wr-calname', name);
  return calendar;
}

/**
 * Adds an event.
 *
 * @param key what tells it from the others, the same whenever the same event is written
 * @param atMs when it is written, in ms since 1970
 */
export function addEvent(calendar: CalendarComponent, key: string, atMs: number): CalendarComponent {
  const event = new ICAL.Component('vevent');
  event.addPropertyWithValue('uid', `${key.replace(/[^A-Za-z0-9-]/g, '-')}@locutor`);
  event.addPropertyWithValue('dtstamp', instantTime(atMs));
  calendar.addSubcomponent(event);
  return event;
}

/** An instant, in UTC. */
export function instantTime(atMs: number): InstanceType<typeof ICAL.Time> {
  return ICAL.Time.fromJSDate(new Date(atMs), true);
}

/** A whole day. */
export function dayTime(day: DayNumber): InstanceType<typeof ICAL.Time> {
  const { month, day: ofMonth } = monthDayOf(day);
  return new ICAL.Time({ year: yearOf(day), month, day: ofMonth, isDate: true }, ICAL.Timezone.localTimezone);
}
