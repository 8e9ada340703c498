import type { PersonId, Rota } from '../directory';
import { addEvent, instantTime, startCalendar } from '../formats';
import { showDate, wallInstant, type DayRange, type TimeZone } from '../hours';
import { dutiesBetween } from './onCall';

/**
 * Who is on call as a calendar of other programs (RFC 5545): an event for each duty that runs in a stretch of days, from one
 * handover to the next. One that nothing ends is written until the stretch does.
 *
 * @param key what tells this rota's events from those of others, such as the group's id
 * @param atMs when it is written, in ms since 1970: the stamp of every event
 */
export function writeRotaCalendar(
  rota: Rota,
  { zone, days, ...about }: { readonly zone: TimeZone; readonly days: DayRange; readonly key: string },
  name: string,
  nameOf: (id: PersonId) => string,
  atMs: number,
): string {
  const calendar = startCalendar(name, 'Rota');
  for (const { personId, insteadOf, from, until } of dutiesBetween(rota, days.from, days.to)) {
    const event = addEvent(calendar, `${about.key} ${showDate(from)}`, atMs);
    event.addPropertyWithValue('summary', `${name}: ${nameOf(personId)}`);
    if (insteadOf) event.addPropertyWithValue('description', `Instead of ${nameOf(insteadOf)}`);
    event.addPropertyWithValue('dtstart', instantTime(wallInstant(zone, from, rota.handoverMin)));
    event.addPropertyWithValue('dtend', instantTime(wallInstant(zone, until ?? days.to + 1, rota.handoverMin)));
  }
  return `${calendar.toString()}\r\n`;
}
