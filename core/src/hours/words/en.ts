import { unreachable } from '../../result';
import type { HoursProblem } from '../hours';
import type { WeekSpan } from '../week';
import { monthDayOf, readDate, weekdayOf, yearOf, type DayNumber, type MonthDay, type Nth } from '../calendar';
import type { SpecialProblem } from '../checkSpecial';
import { longestPeriodName } from '../hours';
import type { DayTimesProblem } from '../dayTimes';
import { longestWeekName } from '../datedWeek';
import type { WeekStretch } from '../weekStretches';
import { longestSeasonName, type SeasonYears } from '../season';
import { specialLimits, type When } from '../specialDate';
import { switchLimits, type SwitchProblem } from '../switch';
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
      return `There can be at most ${problem.most} ${manyWords[problem.what]}.`;
    case 'seasonName':
      return `A season needs a name of 1 to ${longestSeasonName} characters.`;
    case 'seasonDate':
      return `${problem.name} begins or ends on a day that there is not.`;
    case 'seasonYears':
      return `${problem.name}: the last year comes before the first, or is none.`;
    case 'seasonsMeet':
      return `${problem.name} and ${problem.other} share days. A day can be in one season only.`;
    case 'datedWeekName':
      return `A week that begins on a date needs a name of 1 to ${longestWeekName} characters.`;
    case 'datedWeekDate':
      return `${problem.name}: there is no such day for it to begin on.`;
    case 'datedWeeksMeet':
      return `${problem.name} and ${problem.other} begin on the same day. Give one of them another date, or remove it.`;
    case 'special':
      return specialWords[problem.what](problem.name);
    default:
      return unreachable(problem);
  }
}

/**
 * Which weeks follow one another: "the regular week until Sun 3 January 2027, then Spring".
 *
 * @param show a day in the user's own format
 */
export function describeWeeks(stretches: readonly WeekStretch[], show: (day: DayNumber) => string = showDay): string {
  return stretches
    .map(({ week, to }, index) => {
      const name = week.type === 'regular' ? 'the regular week' : week.of.name;
      return index === stretches.length - 1 ? name : `${name} until ${show(to)}`;
    })
    .join(', then ');
}

/** In which years a season comes: "every year", "in 2027 only", "from 2027 to 2029". */
export function yearsWords(years: SeasonYears | undefined): string {
  const { first = null, last = null } = years ?? {};
  if (first === null) return last === null ? 'every year' : `until ${last}`;
  if (last === null) return `from ${first} on`;
  return first === last ? `in ${first} only` : `from ${first} to ${last}`;
}

/** What is wrong with a typed time, for the manager. */
export function describeTimeProblem(problem: DayTimesProblem): string {
  if (problem.type === 'notARange') return `“${problem.text}” needs a start and an end, like 8:00–17:30.`;
  return problem.type === 'noSuchTime'
    ? `There is no ${problem.text.trim()}: a day runs from 0:00 to 24:00.`
    : `“${problem.text.trim()}” is not a time. Type it like 8:30 or 5 pm.`;
}

/** Why the switch cannot be set so, for the manager. */
export function describeSwitchProblem(problem: SwitchProblem): string {
  return switchWords[problem];
}

const switchWords: Readonly<Record<SwitchProblem, string>> = {
  endsBeforeNow: 'That is over already. Choose an end that is still to come.',
  tooLong: `The switch ends within ${switchLimits.longestDays} days. For longer, enter a special date.`,
  words: `What callers hear is too long: the most is ${switchLimits.words} characters.`,
  by: 'Say who does it, so that others know.',
};

const manyWords = {
  periods: 'periods',
  spans: 'times in a week',
  datedWeeks: 'weeks from a date on',
  seasons: 'seasons',
  special: 'special dates',
} as const;

const specialWords: Readonly<Record<SpecialProblem['what'], (name: string) => string>> = {
  name: () => `A special date needs a name of 1 to ${specialLimits.name} characters.`,
  nameTwice: (name) => `Two special dates are called ${name}.`,
  id: (name) => `${name} has an id that is not its own.`,
  noSuchDate: (name) => `${name}: there is no such day in the calendar.`,
  endsFirst: (name) => `${name} ends before it begins.`,
  tooLong: (name) => `${name} lasts too long: at most ${specialLimits.days} days every year, or a year once.`,
  plusDays: (name) => `${name} is too many days away from the day it is reckoned by.`,
  times: (name) => `${name}: each time must start within the day and end after it starts, at most a day later.`,
  words: (name) => `${name}: the words can have at most ${specialLimits.words} characters.`,
};

const months = 'January February March April May June July August September October November December'.split(' ');
const nthWords: Readonly<Record<Nth, string>> = {
  1: 'first',
  2: 'second',
  3: 'third',
  4: 'fourth',
  5: 'fifth',
  [-1]: 'last',
};

/** A day of every year: "4 July". */
export function showMonthDay({ month, day }: MonthDay): string {
  return `${day} ${months[month - 1] ?? ''}`;
}

/** A day of one year: "Thu 26 November 2026". */
export function showDay(day: DayNumber): string {
  return `${weekdayName(weekdayOf(day)).slice(0, 3)} ${showMonthDay(monthDayOf(day))} ${yearOf(day)}`;
}

/** On which days a special date is: "every year on 4 July", "the day after the fourth Thursday of November". */
export function describeWhen(when: When): string {
  switch (when.type) {
    case 'once': {
      const [from, to] = [readDate(when.from), readDate(when.to)];
      if (from === undefined || to === undefined) return `${when.from} to ${when.to}`;
      return from === to ? showDay(from) : `${showDay(from)} to ${showDay(to)}`;
    }
    case 'yearly':
      return `every year on ${showMonthDay(when)}${forDays(when.days)}`;
    case 'nthWeekday': {
      const day = `the ${nthWords[when.nth]} ${weekdayName(when.weekday)} of ${months[when.month - 1] ?? ''}`;
      return `${shifted(day, when.plusDays)}${forDays(when.days)}`;
    }
    case 'easter':
      return `${shifted(when.church === 'western' ? 'Easter Sunday' : 'Orthodox Easter Sunday', when.plusDays)}${forDays(when.days)}`;
  }
}

function forDays(days: number): string {
  return days === 1 ? '' : `, ${days} days`;
}

function shifted(day: string, plusDays: number): string {
  if (plusDays === 0) return day;
  const count = Math.abs(plusDays);
  return `${count === 1 ? 'the day' : `${count} days`} ${plusDays > 0 ? 'after' : 'before'} ${day}`;
}

function describeSpan({ day, startMin, endMin }: WeekSpan): string {
  return `${weekdayName(day)} ${showTime(startMin)} to ${showTime(endMin)}`;
}
