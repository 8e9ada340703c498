import { showDate, weekdayOf, type DayNumber } from './calendar';
import { dayPlan } from './dayPlan';
import { cutTimes, joinTimes, type DayTime } from './dayTimes';
import { type Hours } from './hours';
import { minutesOfDay, weekdays, type DaySpan, type Weekday, type WeekSpan } from './week';
import { wallInstant, wallTime } from './running';
import { spansOfWeekOn } from './weekOn';
import type { TimeZone } from './timeZone';

/** Days that are alike, and when it is open on them; no times where it is closed. */
export interface DayGroup {
  readonly days: readonly Weekday[];
  readonly times: readonly DayTime[];
  /** Whether it is open from midnight to midnight, by times of the day before too. */
  readonly isAllDay: boolean;
}

/**
 * When it is open on a day of the calendar, special dates and seasons kept to: while the first of the periods runs, less
 * the times of the others, such as a lunch break, on whatever day those began. Times may run over midnight, and begin
 * after it where a break cuts them; the day on which the period began has them.
 */
export function openTimesOn(hours: Hours, day: DayNumber): readonly DayTime[] {
  return openTimesOf(hours, (by) => dayPlan(hours, day + by).spans);
}

type SpansOf = (daysAhead: -1 | 0 | 1) => readonly DaySpan[];

function openTimesOf({ periods }: Pick<Hours, 'periods'>, spansOf: SpansOf): readonly DayTime[] {
  const isOpening = ({ periodId }: DaySpan): boolean => periodId === periods[0]?.id;
  const open = joinTimes(spansOf(0).filter(isOpening).map(timeOf(0)), Infinity);
  const breaks = ([-1, 0, 1] as const).flatMap((by) =>
    spansOf(by)
      .filter((span) => !isOpening(span))
      .map(timeOf(by)),
  );
  return breaks.reduce<readonly DayTime[]>(cutTimes, open);
}

/** The time of a span, in minutes after the midnight of the day it is so many days after. */
function timeOf(daysAfter: number) {
  const by = daysAfter * minutesOfDay;
  return ({ startMin, endMin }: DayTime): DayTime => ({ startMin: startMin + by, endMin: endMin + by });
}

/** When it is open on a day of a week, special dates left aside. */
export function weekTimes(hours: Pick<Hours, 'periods'>, week: readonly WeekSpan[], day: Weekday): readonly DayTime[] {
  return openTimesOf(hours, (by) => week.filter((span) => span.day === dayAfter(day, by)));
}

function dayAfter(day: Weekday, by: number): Weekday {
  return (((day - 1 + by + 7) % 7) + 1) as Weekday;
}

/** An hour of the week, from 0 (Monday from midnight on) to 167. */
export type WeekHour = number;

/** The hours of the week at some time of which it was open on at least half of such days, special dates and seasons kept to. */
export function openWeekHours(hours: Hours, days: readonly DayNumber[]): ReadonlySet<WeekHour> {
  const count = new Map<WeekHour, number>();
  const ofWeekday = new Map<Weekday, number>();
  for (const day of days) {
    const weekday = weekdayOf(day);
    ofWeekday.set(weekday, (ofWeekday.get(weekday) ?? 0) + 1);
    const before = openTimesOn(hours, day - 1).map(timeOf(-1));
    const times = [...before, ...openTimesOn(hours, day)];
    for (let hour = 0; hour < 24; hour += 1) {
      const [from, to] = [hour * 60, hour * 60 + 60];
      if (!times.some(({ startMin, endMin }) => startMin < to && endMin > from)) continue;
      const at = (weekday - 1) * 24 + hour;
      count.set(at, (count.get(at) ?? 0) + 1);
    }
  }
  const isUsual = (at: WeekHour, open: number): boolean =>
    2 * open >= (ofWeekday.get((Math.floor(at / 24) + 1) as Weekday) ?? 0);
  return new Set([...count].filter(([at, open]) => isUsual(at, open)).map(([at]) => at));
}

/** Whether it is open on a day of the calendar from midnight to midnight, by times of the day before too. */
export function isOpenAllDay(hours: Hours, day: DayNumber): boolean {
  return fillsTheDay(openTimesOn(hours, day - 1), openTimesOn(hours, day));
}

function fillsTheDay(dayBefore: readonly DayTime[], own: readonly DayTime[]): boolean {
  const all = joinTimes([...dayBefore.map(timeOf(-1)), ...own].map(withinDay), Infinity);
  return all.some(({ startMin, endMin }) => startMin === 0 && endMin === minutesOfDay);
}

function withinDay({ startMin, endMin }: DayTime): DayTime {
  return { startMin: Math.max(0, startMin), endMin: Math.min(minutesOfDay, endMin) };
}

/** The week as people say it, the one that a day has: days in their order, those with the same times together. */
export function weekGroups(hours: Hours, today: DayNumber): readonly DayGroup[] {
  return dayGroups(hours, spansOfWeekOn(hours, today));
}

/** Whether the week of a day has no times, or runs around the clock: whoever never closes has no holidays to enter. */
export function needsNoHolidays(hours: Hours, day: DayNumber): boolean {
  const [first, ...others] = weekGroups(hours, day);
  return others.length === 0 && (first === undefined || first.isAllDay || first.times.length === 0);
}

/** The days of a week in their order, those with the same times together. */
export function dayGroups(hours: Pick<Hours, 'periods'>, week: readonly WeekSpan[]): readonly DayGroup[] {
  const groups = new Map<string, DayGroup & { readonly days: Weekday[] }>();
  const timesOn = (day: Weekday): readonly DayTime[] => weekTimes(hours, week, day);
  const fills = (day: Weekday): boolean => fillsTheDay(timesOn(dayAfter(day, -1)), timesOn(day));
  for (const day of weekdays) {
    const before = dayAfter(day, -1);
    const isAllDay = fills(day);
    const rest = isAllDay ? [] : toldTheDayAfter(timesOn(before), fills(before));
    const times = joinTimes([...rest, ...(isToldTheDayAfter(timesOn(day)) ? [] : timesOn(day))], Infinity);
    const key = [...times.map(({ startMin, endMin }) => `${startMin}-${endMin}`), isAllDay].join(',');
    const group = groups.get(key);
    if (group) group.days.push(day);
    else groups.set(key, { days: [day], times, isAllDay });
  }
  return [...groups.values()];
}

/** Whether all times of a day begin after its end: they are those of the day after to whoever hears them. */
function isToldTheDayAfter(times: readonly DayTime[]): boolean {
  return times.every(({ startMin }) => startMin >= minutesOfDay);
}

/**
 * What is told with the day after the one it began on: what runs on past the end of a day that is told to be open all
 * day, and times that all begin past it.
 */
function toldTheDayAfter(times: readonly DayTime[], isAllDay: boolean): readonly DayTime[] {
  if (!isAllDay && !isToldTheDayAfter(times)) return [];
  return times
    .map(timeOf(-1))
    .filter(({ endMin }) => endMin > 0)
    .map(({ startMin, endMin }) => ({ startMin: Math.max(0, startMin), endMin }));
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
  // What a break cuts over midnight is of the day before, and opens on the day after that.
  for (let daysAhead = 0; daysAhead <= lookAheadDays; daysAhead += 1) {
    const day = today + daysAhead;
    const starts = startsOn(hours, day).filter((startMin) => wallInstant(zone, day, startMin) > atMs);
    if (starts.length === 0) continue;
    const startMin = Math.min(...starts);
    return { day, date: showDate(day), weekday: weekdayOf(day), startMin, daysAhead };
  }
  return undefined;
}

/** At which minutes of a day of the calendar it opens, having been closed just before. */
function startsOn(hours: Hours, day: DayNumber): readonly number[] {
  const near = [-2, -1, 0].flatMap((by) => openTimesOn(hours, day + by).map(timeOf(by)));
  const starts = near.map(({ startMin }) => startMin).filter((startMin) => startMin >= 0 && startMin < minutesOfDay);
  return starts.filter((start) => !near.some(({ startMin, endMin }) => startMin < start && endMin >= start));
}

/** Open times of today at an instant; in the night those of the day before too, while they run on. */
export function timesToday(hours: Hours, zone: TimeZone, atMs: number): readonly DayTime[] {
  const { day, minute } = wallTime(zone, atMs);
  const tonight = openTimesOn(hours, day - 1).filter(
    ({ startMin, endMin }) => startMin <= minute + minutesOfDay && minute + minutesOfDay < endMin,
  );
  return [...tonight, ...openTimesOn(hours, day)];
}

/** The day it is in a zone. */
export function todayAt(zone: TimeZone, atMs: number): DayNumber {
  return wallTime(zone, atMs).day;
}
