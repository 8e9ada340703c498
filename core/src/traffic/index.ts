export { quietestHours, type QuietHour, type QuietHours } from './quietest';
export { chanceFrom, exponential } from './chance';
export { outcomeWords } from './words/en';
export { said, saidChoice, saidOutcome, saidWeekday, sayCell, writeTable, type TableCell } from './words/tableWords';
export { writeCallsCsv, type CallToWrite, type CsvFacts } from './callsCsv';
export type { SheetThen } from './chosen';
export { callWords, searchedWords } from './callWords';
export { callEnd, factsOf, type CallEnd, type CallFacts, type Wait } from './facts';
export { ringEnds, type OutsideCall, type Ring, type RingEnd, type Who } from './rings';
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
export { sumsOf, type DaySum, type HourSum, type WhenSums } from './sums';
export {
  quantile,
  quantileInterval,
  shareChange,
  shareInterval,
  type Interval,
  type Sample,
  type ShareChange,
} from './intervals';
export {
  fateOf,
  fates,
  whenFigures,
  type Fate,
  type FateCounts,
  type HourCell,
  type WeekCount,
  type WhenFigures,
} from './when';
export {
  longestSpanName,
  mostSavedSpans,
  namedSpan,
  savedSpanProblem,
  spanBefore,
  spanNames,
  type SavedSpan,
  type SpanName,
} from './spans';
export { noReport, reportTimes, type ReportPlan } from './report';
export { describeWhen, percent, sayHourOf, sayHours, type Dial } from './words/when.en';
export {
  readDay,
  readVisits,
  writeDay,
  writeVisits,
  type DayCall,
  type DayColumns,
  type DayOfCalls,
  type VisitColumns,
} from './dayOfCalls';
export { Most } from './most';
export { answeredFigures, type AnsweredFigures, type AnswerTimes } from './answered';
export { describeAnswered, saySeconds } from './words/answered.en';
export { isChosen, isKeyChoice, pressedFigures, type PressedSum, type SheetPresses } from './pressed';
export { describePressed } from './words/pressed.en';
export {
  meanPatience,
  medianPatience,
  shapedPatience,
  stillWaiting,
  type Patience,
  type SeenWait,
  type ShapedPatience,
  type StillWaiting,
} from './patience';
export { ringSums, workFigures, type RingSum, type WorkOf } from './staffing';
export { describeWork } from './words/staffing.en';
export { cameTo, changesBetween, type CameTo, type FateChange } from './came';
export { describeCame, describeChange } from './words/came.en';
export { leastUnpressedDays, mostUnpressedDays, unpressedKeys } from './unpressed';
export { dayBeside, weeksBeside, type DayBeside, type DayHourSum } from './dayBeside';
export { worthKnowing, type Recent, type Worth } from './worthKnowing';
export { describeDay, describeWorth } from './words/today.en';
export { reportOf, reportSpan, type Report, type ReportDay, type ReportSums } from './reportOf';
export { writeReportHtml, writeReportText, type ReportHead } from './words/report.en';
