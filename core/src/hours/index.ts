export { hoursId, periodId, type HoursId, type PeriodId } from './ids';
export {
  checkHours,
  longestPeriodName,
  minutesOfDay,
  mostPeriods,
  mostWeekSpans,
  weekdays,
  type Hours,
  type HoursProblem,
  type Period,
  type Weekday,
  type WeekSpan,
} from './hours';
export { clockReading, dayAt, instantOf, isTimeZone, type TimeZone } from './timeZone';
export { isWorkingAt, nextBoundary, periodsAt, spansAt } from './week';
export {
  answersAt,
  answerSpans,
  isSameAnswer,
  nextChange,
  type Answer,
  type AnswerChange,
  type OrderedRule,
  type AnswerSpan,
} from './answersAt';
export { readTime, showTime, weekdayName, type TimeProblem } from './timeText';
export { addPeriod, daySpans, removePeriod, renamePeriod, setDaySpans } from './edits';
export { describeHoursProblem, describeTimeProblem } from './words/en';
export { cutTimes, joinTimes, readDayTimes, showDayTimes, type DayTime, type DayTimesProblem } from './dayTimes';
