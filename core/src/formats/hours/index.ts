export { addEvent, dayTime, instantTime, startCalendar } from './calendarParts';
export { calendarDays, writeCalendar, type NotWritten, type WrittenCalendar } from './calendarOut';
export {
  calendarLimits,
  readCalendar,
  type CalendarProblem,
  type NotRead,
  type ReadCalendar,
  type ReadSpecial,
  type ReadTimes,
} from './calendarIn';
export { writeHoursJsonLd, writeHoursScript } from './hoursJsonLd';
export { writeHoursText } from './hoursText';
export { describeCalendarProblem, describeNotRead, describeNotWritten } from './words.en';
export { takeCalendar, type CalendarChoice, type NewIds } from './takeCalendar';
