import { weekTimes, weekdays, type Hours, type Weekday } from '../hours';
import type { ClockTime, TimesSaid } from './reading/timesSaid';
import { remember } from './remember';

interface KnownTime {
  /** Null for special dates. */
  readonly day: Weekday | null;
  readonly startMin: number;
  readonly endMin: number;
}

/** Whether any of the hours that the business keeps has these times, on all the days that are said. */
export function isKept(said: TimesSaid, hours: Hours, allHours: readonly Hours[]): boolean {
  const known = knownTimes(hours, allHours);
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

const knownTimes = remember((hours: Hours, allHours: readonly Hours[]): readonly KnownTime[] =>
  [hours, ...allHours.filter(({ id }) => id !== hours.id)].flatMap((each) => [
    ...[each.week, ...each.seasons.map(({ week }) => week)].flatMap((week) => [
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
