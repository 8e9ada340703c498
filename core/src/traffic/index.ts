export { quietestHours, type QuietHour, type QuietHours } from './quietest';
export { chanceFrom, exponential } from './chance';
export { outcomeWords } from './words/en';
export { writeCallsCsv, type CallToWrite } from './callsCsv';
export { factsOf, type CallFacts, type Wait } from './facts';
export type { OutsideCall, Ring, RingEnd, Who } from './rings';
export type { Choice, Visit } from './visits';
export {
  erlangB,
  erlangC,
  linesFor,
  loadOf,
  membersFor,
  waitingWith,
  type Demand,
  type Target,
  type Waiting,
} from './erlang';
export type { DaySum, HourSum, WhenSums } from './sums';
