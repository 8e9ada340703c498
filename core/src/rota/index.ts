export { dutiesBetween, dutyAt, dutyDay, firstDayOf, membersAt, onCallOn, type Duty } from './onCall';
export { changeTurns, keepToMembers, newRota, replacePerson, swapDays, withoutOldSwaps, withoutSwaps } from './edits';
export { writeRotaCalendar } from './rotaCalendar';
export { rotaProblem } from './rotaProblem';
