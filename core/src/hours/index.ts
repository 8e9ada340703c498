export {
  hoursId,
  periodId,
  datedWeekId,
  seasonId,
  specialDateId,
  type HoursId,
  type PeriodId,
  type DatedWeekId,
  type SeasonId,
  type SpecialDateId,
} from './ids';
export {
  dayInYear,
  dayNumber,
  daysInMonth,
  isMonthDay,
  monthDayOf,
  readDate,
  showDate,
  weekdayOf,
  yearOf,
  type Church,
  type DayNumber,
  type MonthDay,
  type Nth,
} from './calendar';
export { readDatedWeeks, readHours, readSeasons, readSpecialDates, type NotHours } from './readHours';
export {
  freeSeasonDates,
  isInSeason,
  longestSeasonName,
  seasonDays,
  seasonOn,
  seasonYearLimits,
  type Season,
  type SeasonYears,
} from './season';
export { datedWeekOn, firstDay, inOrder, longestWeekName, mostDatedWeeks, type DatedWeek } from './datedWeek';
export { lastDayOf, weekBefore, weekStretches, type WeekStretch } from './weekStretches';
export { ownWeek, withOwnWeek, type OwnSpan } from './ownWeek';
export { allWeeks, spansOfWeekOn, weekIdOn, weekOn, withEachWeek, type WeekOfDay } from './weekOn';
export {
  closedAllDay,
  daysOf,
  moves,
  specialLimits,
  type DayRange,
  type Move,
  type SpecialDate,
  type SpecialHours,
  type When,
} from './specialDate';
export { unusedRules, type UnusedRule } from './unusedRules';
export { occurrences, overlaps, type Occurrence } from './upcoming';
export { dayPlan, specialDaysOf, type DayPlan, type PlannedSpan } from './dayPlan';
export {
  checkHours,
  longestPeriodName,
  mostPeriods,
  mostSeasons,
  mostWeekSpans,
  type Hours,
  type HoursContent,
  type HoursProblem,
} from './hours';
export { editedOf, mergeHours, type EditedHours } from './mergeHours';
export { minutesOfDay, weekdays, type DaySpan, type Period, type Weekday, type WeekSpan } from './week';
export { clockReading, dayAt, instantOf, isTimeZone, type TimeZone } from './timeZone';
export { isReading, momentLimits } from './moment';
export { zoneNamed } from './zoneNamed';
export { isWorkingAt, nextBoundary, periodsAt, runningAt, wallInstant, wallTime, type Running } from './running';
export {
  answersAt,
  answerSpans,
  explainAnswer,
  isSameAnswer,
  nextChange,
  type Answer,
  type AnswerChange,
  type OrderedRule,
  type AnswerSpan,
  type Circumstances,
  type Verdict,
  nextTurn,
} from './answersAt';
export {
  checkSwitch,
  hoursWithSwitch,
  isOnAt,
  switchLimits,
  usualEnds,
  type Switch,
  type SwitchProblem,
  type SwitchTo,
  type UsualEnd,
} from './switch';
export {
  compareHours,
  compareYears,
  weekChanges,
  type WeekChange,
  type HoursDifference,
  type TimesDifference,
  type YearsCompared,
  type YearSum,
} from './compareHours';
export { describeHoursClashes } from './words/clash.en';
export { describeHoursDifference, describeWeekChange, lengthWords, weekdaysWords } from './words/differences.en';
export {
  dayGroups,
  isOpenAllDay,
  needsNoHolidays,
  nextOpening,
  openTimesOn,
  openWeekHours,
  timesToday,
  todayAt,
  weekGroups,
  weekTimes,
  type DayGroup,
  type Opening,
  type WeekHour,
} from './openTimes';
export { readTime, showTime, weekdayName, type TimeProblem } from './timeText';
export {
  addPeriod,
  copyDay,
  daySpans,
  removePeriod,
  removeSpecialDate,
  renamePeriod,
  setAlways,
  setDaySpans,
  setSpecialDate,
  setWeek,
} from './edits';
export {
  describeHoursProblem,
  describeSwitchProblem,
  describeTimeProblem,
  describeWeeks,
  describeWhen,
  showDay,
  showMonthDay,
  yearsWords,
} from './words/en';
export { cutTimes, joinTimes, readDayTimes, showDayTimes, type DayTime, type DayTimesProblem } from './dayTimes';
export { sayDays } from './words/days.en';
