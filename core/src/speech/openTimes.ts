import {
  cutTimes,
  dayAt,
  instantOf,
  joinTimes,
  minutesOfDay,
  weekdays,
  type DayTime,
  type Hours,
  type TimeZone,
  type Weekday,
} from '../hours';

/** Days that are alike, and when it is open on them; no times where it is closed. */
export interface DayGroup {
  readonly days: readonly Weekday[];
  readonly times: readonly DayTime[];
}

/**
 * When it is open on a day of the week: while the first of the periods runs, less the times of the others, such as a
 * lunch break. Times may run over midnight; the day they begin on has them.
 */
export function openTimes({ periods, week }: Pick<Hours, 'periods' | 'week'>, day: Weekday): readonly DayTime[] {
  const ofDay = week.filter((span) => span.day === day);
  const open = joinTimes(ofDay.filter(({ periodId }) => periodId === periods[0]?.id));
  return ofDay
    .filter(({ periodId }) => periodId !== periods[0]?.id)
    .reduce<readonly DayTime[]>((times, span) => cutTimes(times, span), open);
}

/** The week as people say it: days in their order, those with the same times together. */
export function weekGroups(hours: Pick<Hours, 'periods' | 'week'>): readonly DayGroup[] {
  const groups = new Map<string, { days: Weekday[]; times: readonly DayTime[] }>();
  for (const day of weekdays) {
    const times = openTimes(hours, day);
    const key = times.map(({ startMin, endMin }) => `${startMin}-${endMin}`).join(',');
    const group = groups.get(key);
    if (group) group.days.push(day);
    else groups.set(key, { days: [day], times });
  }
  return [...groups.values()];
}

/** When it opens next after an instant: the day by the zone's calendar, the time, and how many days ahead. */
export interface Opening {
  readonly date: string;
  readonly weekday: Weekday;
  readonly startMin: number;
  readonly daysAhead: number;
}

/** The next time it opens after an instant; undefined when it never does. Clock changes are kept to. */
export function nextOpening(hours: Pick<Hours, 'periods' | 'week'>, zone: TimeZone, atMs: number): Opening | undefined {
  const today = dayAt(atMs, zone);
  for (let daysAhead = 0; daysAhead <= 7; daysAhead += 1) {
    const date = dateAfter(today, daysAhead);
    const weekday = weekdayOf(date);
    const next = openTimes(hours, weekday).find(
      ({ startMin }) =>
        instantOf(`${date}T${clock(startMin)}`, zone) > atMs && !runsOnFromDayBefore(hours, weekday, startMin),
    );
    if (next) return { date, weekday, startMin: next.startMin, daysAhead };
  }
  return undefined;
}

/** Open times of today at an instant. */
export function timesToday(hours: Pick<Hours, 'periods' | 'week'>, zone: TimeZone, atMs: number): readonly DayTime[] {
  return openTimes(hours, weekdayOf(dayAt(atMs, zone)));
}

/** What begins while the day before still runs on does not open anything. */
function runsOnFromDayBefore(hours: Pick<Hours, 'periods' | 'week'>, day: Weekday, startMin: number): boolean {
  const before = (day === 1 ? 7 : day - 1) as Weekday;
  return openTimes(hours, before).some(({ endMin }) => endMin - minutesOfDay >= startMin && endMin > minutesOfDay);
}

function weekdayOf(date: string): Weekday {
  return (((new Date(`${date}T00:00Z`).getUTCDay() + 6) % 7) + 1) as Weekday;
}

function dateAfter(date: string, days: number): string {
  const dayMs = 86_400_000;
  return new Date(Date.parse(`${date}T00:00Z`) + days * dayMs).toISOString().slice(0, 10);
}

function clock(minutes: number): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}
