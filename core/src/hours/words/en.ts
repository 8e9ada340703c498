import { unreachable } from '../../result';
import type { HoursProblem, WeekSpan } from '../hours';
import { longestPeriodName } from '../hours';
import type { DayTimesProblem } from '../dayTimes';
import { showTime, weekdayName } from '../timeText';

/** What is wrong with hours, for the manager. */
export function describeHoursProblem(problem: HoursProblem): string {
  switch (problem.type) {
    case 'periodName':
      return `A period needs a name of 1 to ${longestPeriodName} characters.`;
    case 'periodTwice':
      return `Two periods are called ${problem.name}.`;
    case 'unknownPeriod':
      return `${describeSpan(problem.span)} belongs to a period that is not there.`;
    case 'noSuchDay':
      return `Day ${problem.span.day} is no day of the week: 1 is Monday, 7 is Sunday.`;
    case 'startTime':
      return `${describeSpan(problem.span)}: the start must be from 0:00 to 23:59.`;
    case 'endTime':
      return `${describeSpan(problem.span)}: the end must come after the start, at most a day later.`;
    case 'tooMany':
      return problem.what === 'periods'
        ? `There can be at most ${problem.most} periods.`
        : `The week can hold at most ${problem.most} times.`;
    default:
      return unreachable(problem);
  }
}

/** What is wrong with a typed time, for the manager. */
export function describeTimeProblem(problem: DayTimesProblem): string {
  if (problem.type === 'notARange') return `“${problem.text}” needs a start and an end, like 8:00–17:30.`;
  return problem.type === 'noSuchTime'
    ? `There is no ${problem.text.trim()}: a day runs from 0:00 to 24:00.`
    : `“${problem.text.trim()}” is not a time. Type it like 8:30 or 5 pm.`;
}

function describeSpan({ day, startMin, endMin }: WeekSpan): string {
  return `${weekdayName(day)} ${showTime(startMin)} to ${showTime(endMin)}`;
}
