/** What is known to change in the days, weeks and months ahead, in one list. */
export { changesAhead, type AheadSubject, type ChangeAhead } from './changesAhead';
export { writeAheadCalendar } from './aheadCalendar';
export { describeAhead, type ShownTimes } from './words/en';
