import {
  allWeeks,
  spansOfWeekOn,
  weekTimes,
  weekdays,
  type DayNumber,
  type Hours,
  type WeekSpan,
  type Weekday,
} from '../hours';
import type { ClockTime, TimesSaid } from './reading/timesSaid';
import { remember } from './remember';

interface KnownTime {
  /** Null for special dates. */
  readonly day: Weekday | null;
  readonly startMin: number;
  readonly endMin: number;
}

/** Whether any of the hours that the business keeps has these times, on all the days that are said; in any season, or on a day. */
export function isKept(
  said: TimesSaid,
  hours: Hours,
  allHours: readonly Hours[],
  on: DayNumber | 'any' = 'any',
): boolean {
  const known = knownTimes(hours, allHours, on);
  const fits = (time: KnownTime): boolean =>
    (said.start === null || isSame(said.start, time.startMin)) && (said.end === null || isEnd(said, said.end, time));
  if (said.days.length === 0) return known.some(fits);
  return said.days.every((day) => known.some((time) => (time.day === day || time.day === null) && fits(time)));
}

/** Until something ends, or until it begins: "closed until eight". */
function isEnd(said: TimesSaid, end: ClockTime, { startMin, endMin }: KnownTime): boolean {
  return isSame(end, endMin) || (said.start === null && isSame(end, startMin));
}

function isSame({ minute, isEither }: ClockTime, known: number): boolean {
  const turn = isEither ? 720 : 1440;
  return minute % turn === known % turn;
}

const knownTimes = remember((hours: Hours, allHours: readonly Hours[], on: DayNumber | 'any'): readonly KnownTime[] =>
  [hours, ...allHours.filter(({ id }) => id !== hours.id)].flatMap((each) => [
    ...weeksOf(each, on).flatMap((week) => [
      ...week,
      ...weekdays.flatMap((day) => weekTimes(each, week, day).map((time) => ({ day, ...time }))),
    ]),
    ...each.special.flatMap(({ hours: special }) =>
      (special.type === 'times' ? special.spans : [special]).map(({ startMin, endMin }) => ({
        day: null,
        startMin,
        endMin,
      })),
    ),
  ]),
);

/** The weeks that are kept in the course of a year, or the one that is kept on a day. */
export function weeksOf(hours: Hours, on: DayNumber | 'any'): readonly (readonly WeekSpan[])[] {
  if (on !== 'any') return [spansOfWeekOn(hours, on)];
  return allWeeks(hours);
}

/** Whether words speak of another part of the year than now, such as a season or from a month on. */
export function speaksOfSeason(sentence: string, { seasons, datedWeeks }: Hours): boolean {
  const names = [...seasons, ...datedWeeks].map(({ name }) => name.toLowerCase());
  return (
    names.some((name) => name !== '' && sentence.toLowerCase().includes(name)) ||
    /\b(?:summer|winter|spring|autumn|fall|season(?:al)?|january|february|march|april|may|june|july|august|september|october|november|december|starting|beginning|as of)\b/iu.test(
      sentence,
    )
  );
}
