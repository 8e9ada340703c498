export type { LoggedCaller, LoggedRing } from './loggedCaller';
export {
  callsLimits,
  changedSeconds,
  isWhole,
  mostChanges,
  plannedOn,
  queueInPlaceOf,
  type Change,
  type ChangedSeconds,
  type ChangeType,
  type DayPlan,
} from './change';
export { learnHabits, type Habits } from './habits';
export {
  mostRuns,
  tryPlan,
  usualRuns,
  type BusyPerson,
  type Compared,
  type PlanFigures,
  type Trial,
  type Tried,
} from './tryPlan';
export type { Charges } from './figures';
export { meanOf, studentT, type Mean } from './meanOf';
export { membersNeeded, type NeededHour } from './needed';
export { playHour, type PlayedHour } from './checkHour';
export { readChanges, secondsLimits } from './readChanges';
export { describePlan, describeTried } from './words/whatIf.en';
