import type { Id } from '../id';
import { right, wrong, type Result } from '../result';
import { showDate, type DayNumber } from './calendar';
import { dayPlan } from './dayPlan';
import { cutTimes, type DayTime } from './dayTimes';
import { type Hours } from './hours';
import { minutesOfDay, type DaySpan } from './week';
import { specialDateId, type PeriodId } from './ids';
import { nextOpening } from './openTimes';
import { wallInstant, wallTime } from './running';
import type { SpecialDate } from './specialDate';
import type { TimeZone } from './timeZone';

/** What answers instead, while the switch is on. */
export type SwitchTo =
  /** As while a period runs. */
  | { readonly type: 'open'; readonly periodId: PeriodId }
  /** As when nothing runs: "otherwise". */
  | { readonly type: 'closed' }
  | { readonly type: 'sheet'; readonly sheetId: Id<'sheet'> };

/** The temporary "from now until": it goes before everything but blocked callers, and ends by itself. */
export interface Switch {
  readonly to: SwitchTo;
  /** From this instant, in ms since 1970, until just before the other. */
  readonly fromMs: number;
  readonly untilMs: number;
  /** What callers hear first; empty for nothing. */
  readonly words: string;
  /** Who did it, as they are called in the office. */
  readonly by: string;
}

const dayMs = 86_400_000;

export const switchLimits = { longestDays: 31, words: 600, by: 60 } as const;

export type SwitchProblem = 'endsBeforeNow' | 'tooLong' | 'words' | 'by';

/** What must hold for a switch to be set. */
export function checkSwitch(set: Switch): Result<Switch, SwitchProblem> {
  if (!(set.untilMs > set.fromMs)) return wrong('endsBeforeNow');
  if (set.untilMs > set.fromMs + switchLimits.longestDays * dayMs) return wrong('tooLong');
  if (set.words.length > switchLimits.words) return wrong('words');
  return set.by.trim() === '' || set.by.length > switchLimits.by ? wrong('by') : right(set);
}

export function isOnAt({ fromMs, untilMs }: Pick<Switch, 'fromMs' | 'untilMs'>, atMs: number): boolean {
  return atMs >= fromMs && atMs < untilMs;
}

/** The ends that are most often meant. */
export interface UsualEnd {
  readonly is: 'anHour' | 'endOfDay' | 'nextOpening' | 'tomorrowNoon';
  readonly atMs: number;
}

/** When a switch set at an instant usually ends, the soonest first. */
export function usualEnds(hours: Hours, zone: TimeZone, atMs: number): readonly UsualEnd[] {
  const { day } = wallTime(zone, atMs);
  const wholeMinute = Math.ceil(atMs / 60_000) * 60_000;
  const opening = nextOpening(hours, zone, atMs);
  const ends: (UsualEnd | undefined)[] = [
    { is: 'anHour', atMs: wholeMinute + 3_600_000 },
    { is: 'endOfDay', atMs: wallInstant(zone, day + 1, 0) },
    opening && { is: 'nextOpening', atMs: wallInstant(zone, opening.day, opening.startMin) },
    { is: 'tomorrowNoon', atMs: wallInstant(zone, day + 1, minutesOfDay / 2) },
  ];
  return ends
    .filter((end) => end !== undefined)
    .filter((end) => end.atMs - atMs <= switchLimits.longestDays * dayMs)
    .sort((one, other) => one.atMs - other.atMs);
}

const switched = new WeakMap<Hours, { readonly by: Switch; readonly hours: Hours }>();
const specialOfSwitch = specialDateId.create('switched');

/**
 * Hours as they come to be by a switch that closes or opens: what greetings say of today and of the next opening keeps
 * to it. The days it touches become special dates with what is left of their times.
 */
export function hoursWithSwitch(hours: Hours, zone: TimeZone, set: Switch | null): Hours {
  if (!set || set.to.type === 'sheet') return hours;
  const before = switched.get(hours);
  if (before?.by === set) return before.hours;
  const [from, until] = [wallTime(zone, set.fromMs), wallTime(zone, set.untilMs)];
  const days: SpecialDate[] = [];
  let overNight: readonly DaySpan[] = [];
  for (let day = from.day - 1; day <= until.day; day += 1) {
    const cut = {
      startMin: Math.max(0, Math.floor((from.day - day) * minutesOfDay + from.minute)),
      endMin: Math.min(2 * minutesOfDay, Math.ceil((until.day - day) * minutesOfDay + until.minute)),
    };
    const left = [...overNight, ...leftOf(hours, day, cut)];
    // What goes on after the switch, on the day after the one it began on, is that day's.
    overNight = left.filter(({ startMin }) => startMin >= minutesOfDay).map(onTheNextDay);
    const own = left.filter(({ startMin }) => startMin < minutesOfDay);
    days.push(dayWith(hours, day, own, cut, set.to));
  }
  const made = { ...hours, special: [...days, ...hours.special] };
  switched.set(hours, { by: set, hours: made });
  return made;
}

/** What a day has less the time that the switch has. */
function leftOf(hours: Hours, day: DayNumber, cut: DayTime): readonly DaySpan[] {
  return dayPlan(hours, day).spans.flatMap(({ periodId, ...times }) =>
    cutTimes([times], cut).map(({ startMin, endMin }): DaySpan => ({ periodId, startMin, endMin })),
  );
}

function onTheNextDay({ periodId, startMin, endMin }: DaySpan): DaySpan {
  return { periodId, startMin: startMin - minutesOfDay, endMin: endMin - minutesOfDay };
}

function dayWith(
  hours: Hours,
  day: DayNumber,
  left: readonly DaySpan[],
  cut: DayTime,
  to: Exclude<SwitchTo, { type: 'sheet' }>,
): SpecialDate {
  const { special } = dayPlan(hours, day);
  const endMin = Math.min(cut.endMin, minutesOfDay);
  const isOpened = to.type === 'open' && endMin > cut.startMin;
  return {
    id: special?.id ?? specialOfSwitch,
    name: special?.name ?? '',
    when: { type: 'once', from: showDate(day), to: showDate(day) },
    moved: 'stays',
    hours: {
      type: 'times',
      spans: isOpened ? [...left, { periodId: to.periodId, startMin: cut.startMin, endMin }] : left,
    },
    words: special?.words ?? '',
  };
}
