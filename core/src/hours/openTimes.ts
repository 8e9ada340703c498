import { showDate, weekdayOf, type DayNumber } from './calendar';
import { dayPlan } from './dayPlan';
import { cutTimes, joinTimes, type DayTime } from './dayTimes';
import { type Hours } from './hours';
import { minutesOfDay, weekdays, type DaySpan, type Weekday, type WeekSpan } from './week';
import { wallInstant, wallTime } from './running';
import { seasonOn } from './season';
import type { TimeZone } from './timeZone';

/** Days that are alike, and when it is open on them; no times where it is closed. */
export interface DayGroup {
  readonly days: readonly Weekday[];
  readonly times: readonly DayTime[];
}

/**
 * When it is open on a day of the calendar, special dates and seasons kept to: while the first of the periods runs, less
 * the times of the others, such as a lunch break. Times may run over midnight; the day they begin on has them.
 */
export function openTimesOn(hours: Hours, day: DayNumber): readonly DayTime[] {
  return openTimesOf(hours, dayPlan(hours, day).spans);
}

function openTimesOf({ periods }: Pick<Hours, 'periods'>, spans: readonly DaySpan[]): readonly DayTime[] {
  const opening = spans.filter(({ periodId }) => periodId === periods[0]?.id);
  const open = joinTimes(opening.map(({ startMin, endMin }) => ({ startMin, endMin })));
  return spans
    .filter(({ periodId }) => periodId !== periods[0]?.id)
    .reduce<readonly DayTime[]>((times, span) => cutTimes(times, span), open);
}

/** When it is open on a day of a week, special dates left aside. */
export function weekTimes(hours: Pick<Hours, 'periods'>, week: readonly WeekSpan[], day: Weekday): readonly DayTime[] {
  return openTimesOf(
    hours,
    week.filter((span) => span.day === day),
  );
}

/** The week as people say it, that of the season a day is in: days in their order, those with the same times together. */
export function weekGroups(hours: Hours, today: DayNumber): readonly DayGroup[] {
  return dayGroups(hours, (seasonOn(hours.seasons, today) ?? hours).week);
}

/** The days of a week in their order, those with the same times together. */
export function dayGroups(hours: Pick<Hours, 'periods'>, week: readonly WeekSpan[]): readonly DayGroup[] {
  const groups = new Map<string, { days: Weekday[]; times: readonly DayTime[] }>();
  for (const day of weekdays) {
    const times = weekTimes(hours, week, day);
    const key = times.map(({ startMin, endMin }) => `${startMin}-${endMin}`).join(',');
    const group = groups.get(key);
    if (group) group.days.push(day);
    else groups.set(key, { days: [day], times });
  }
  return [...groups.values()];
}

/** When it opens next after an instant: the day by the zone's calendar, the time, and how many days ahead. */
export interface Opening {
  readonly day: DayNumber;
  readonly date: string;
  readonly weekday: Weekday;
  readonly startMin: number;
  readonly daysAhead: number;
}

/** Shut for longer than this, no opening is said. */
const lookAheadDays = 366;

/** The next time it opens after an instant; undefined when it does not within a year. Clock changes are kept to. */
export function nextOpening(hours: Hours, zone: TimeZone, atMs: number): Opening | undefined {
  const today = todayAt(zone, atMs);
  for (let daysAhead = 0; daysAhead <= lookAheadDays; daysAhead += 1) {
    const day = today + daysAhead;
    const next = openTimesOn(hours, day).find(
      ({ startMin }) => wallInstant(zone, day, startMin) > atMs && !runsOnFromDayBefore(hours, day, startMin),
    );
    if (next) return { day, date: showDate(day), weekday: weekdayOf(day), startMin: next.startMin, daysAhead };
  }
  return undefined;
}

/** Open times of today at an instant. */
export function timesToday(hours: Hours, zone: TimeZone, atMs: number): readonly DayTime[] {
  return openTimesOn(hours, todayAt(zone, atMs));
}

/** The day it is in a zone. */
export function todayAt(zone: TimeZone, atMs: number): DayNumber {
  return wallTime(zone, atMs).day;
}

/** What begins while the day before still runs on does not open anything. */
function runsOnFromDayBefore(hours: Hours, day: DayNumber, startMin: number): boolean {
  return openTimesOn(hours, day - 1).some(({ endMin }) => endMin - minutesOfDay >= startMin && endMin > minutesOfDay);
}
