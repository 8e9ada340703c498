import { showDay } from '../../hours';
import { calendarLimits, type CalendarProblem, type NotRead } from './calendarIn';
import type { NotWritten } from './calendarOut';

/** Why a calendar cannot be read, for the manager. */
export function describeCalendarProblem(problem: CalendarProblem): string {
  switch (problem.type) {
    case 'tooLarge': {
      const [is, most] = [problem.characters, calendarLimits.characters].map((each) => (each / 1e6).toFixed(1));
      return `That calendar is too large: ${is ?? ''} MB; the most is ${most ?? ''} MB. Save only the calendar with your hours.`;
    }
    case 'notACalendar':
      return 'That is not a calendar. Choose a file that ends in .ics.';
    case 'tooManyEvents':
      return `That calendar has ${problem.count.toLocaleString('en')} events; the most is ${calendarLimits.events.toLocaleString('en')}.`;
    case 'noEvents':
      return 'That calendar has no events.';
  }
}

const notRead: Readonly<Record<NotRead['why'], string>> = {
  unreadable: 'cannot be read',
  unknownZone: 'is in a time zone that is not known',
  over: 'is over',
  otherTimeOfYear: 'comes every week, but not all through the coming weeks: enter it as a season',
  changesLater: 'comes otherwise from some day on, which is not carried: look at it there, and enter it',
  tooOften: `comes more than ${calendarLimits.timesEach} times in two years`,
  daysOnly: 'is taken as its days of the next two years, not as a rule',
  never: 'comes on no day of the next two years',
  otherZone: 'is in another time zone; its times are taken as they are here now',
  tooLong: 'lasts too long',
  tooMany: 'are more than can be kept',
};

/** What was not taken from a calendar, or not as it is there. */
export function describeNotRead({ name, why }: NotRead): string {
  return `${name} ${notRead[why]}.`;
}

/** What a calendar cannot hold as the hours have it. */
export function describeNotWritten(not: NotWritten): string {
  switch (not.type) {
    case 'endsOn':
      return `It holds the days until ${showDay(not.day)}. Save it again before then.`;
    case 'daysOnly':
      return `${not.name} is there with its days until then, not with its rule.`;
    case 'words':
      return `What callers hear first on ${not.name} is only a note on the event.`;
  }
}
