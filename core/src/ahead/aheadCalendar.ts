import { addEvent, dayTime, instantTime, startCalendar } from '../formats';
import { showDate, type HoursId } from '../hours';
import type { ChangeAhead } from './changesAhead';
import { describeAhead } from './words/en';

/**
 * What changes ahead as a calendar of other programs (RFC 5545): an event each, of whole days or of an instant.
 *
 * @param name what the calendar is called
 * @param atMs when it is written, in ms since 1970: the stamp of every event
 */
export function writeAheadCalendar(
  changes: readonly ChangeAhead[],
  ownHoursId: HoursId,
  name: string,
  atMs: number,
): string {
  const calendar = startCalendar(name, 'Ahead');
  for (const change of changes) {
    const event = addEvent(calendar, keyOf(change), atMs);
    event.addPropertyWithValue('summary', describeAhead(change, ownHoursId));
    event.addPropertyWithValue('transp', 'TRANSPARENT');
    if ('atMs' in change) {
      event.addPropertyWithValue('dtstart', instantTime(change.atMs));
    } else {
      event.addPropertyWithValue('dtstart', dayTime(change.day));
      event.addPropertyWithValue('dtend', dayTime((change.type === 'special' ? change.until : change.day) + 1));
    }
  }
  return `${calendar.toString()}\r\n`;
}

/** The same for the same change, so that a calendar that is taken in again changes its events and adds none. */
function keyOf(change: ChangeAhead): string {
  const { type, day } = change;
  const about = (): string => {
    switch (type) {
      case 'datedWeek':
        return change.week.id;
      case 'seasonBegins':
      case 'seasonOver':
        return change.season.id;
      case 'special':
        return `${change.hours.id} ${change.date.id}`;
      case 'serviceBegins':
      case 'serviceEnds':
        return `${change.of} ${change.name}`;
      default:
        return '';
    }
  };
  return `${type} ${about()} ${showDate(day)}`;
}
