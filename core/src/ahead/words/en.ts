import { describeWeekChange, showDay, showTime, type DayNumber, type HoursId } from '../../hours';
import { unreachable } from '../../result';
import type { ChangeAhead } from '../changesAhead';

/** How days and times are written: in the user's own format, where there is a user. */
export interface ShownTimes {
  readonly day: (day: DayNumber) => string;
  /** A time of day, in minutes after midnight. */
  readonly minutes: (minutes: number) => string;
  /** What is other than usual on a special date. */
  readonly special: (change: Extract<ChangeAhead, { type: 'special' }>) => string;
}

const plainTimes: ShownTimes = {
  day: showDay,
  minutes: showTime,
  special: ({ date: { hours } }) => (hours.type === 'closed' ? 'closed' : 'other hours'),
};

/**
 * A change ahead in a sentence, without its day: "Spring begins. Open, on Saturdays: 9:00 to 12:00 instead of closed."
 *
 * @param ownHoursId hours that need not be named, since they are those of the line
 */
export function describeAhead(change: ChangeAhead, ownHoursId: HoursId, shown: ShownTimes = plainTimes): string {
  const of = 'hours' in change && change.hours.id !== ownHoursId ? `${change.hours.name}: ` : '';
  return `${of}${sentence(change, shown)}`;
}

function sentence(change: ChangeAhead, shown: ShownTimes): string {
  switch (change.type) {
    case 'datedWeek': {
      const { week, changes } = change;
      const what = changes.map((each) => describeWeekChange(each, shown.minutes));
      return [`${week.name}.`, ...(what.length > 0 ? what : ['The same times as before.'])].join(' ');
    }
    case 'seasonBegins':
      return `${change.season.name} begins, with a week of its own.`;
    case 'seasonOver': {
      const { season, then } = change;
      return `${season.name} is over; ${then.type === 'regular' ? 'the regular week' : then.of.name} holds again.`;
    }
    case 'special': {
      const until = change.until > change.day ? ` until ${shown.day(change.until)}` : '';
      return `${change.date.name}${until}: ${shown.special(change)}.`;
    }
    case 'planned':
      return `${change.isBack ? 'An earlier version goes back' : 'A new version goes'} on air, planned by ${change.by}.`;
    case 'switchEnds':
      return 'The switch ends, and the hours decide again.';
    case 'serviceBegins':
      return `${change.name}: the first day of ${change.of === 'line' ? 'the line’s' : 'the number’s'} service.`;
    case 'serviceEnds':
      return `${change.name}: the last day of ${change.of === 'line' ? 'the line’s' : 'the number’s'} service.`;
    case 'prices':
      return 'Calls cost what the next rate card says.';
    case 'budget':
      return 'By then the month’s budget is likely to be spent.';
    default:
      return unreachable(change);
  }
}
