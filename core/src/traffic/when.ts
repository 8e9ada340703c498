import type { Outcome } from '../call';
import { weekdayOf, type DayNumber, type DayRange, type Weekday } from '../hours';
import type { WhenSums } from './sums';

/** What became of callers, as roughly as a manager first asks. */
export type Fate = 'reached' | 'message' | 'served' | 'lost' | 'aside';

export const fates = ['reached', 'message', 'served', 'lost', 'aside'] as const satisfies readonly Fate[];

/** `served` are those who wanted nobody: they heard what they called for, or were let go with words. */
export const fateOf: Readonly<Record<Outcome, Fate>> = {
  answered: 'reached',
  handedOver: 'reached',
  message: 'message',
  informed: 'served',
  letGo: 'served',
  missed: 'lost',
  gaveUpInQueue: 'lost',
  gaveUpRinging: 'lost',
  gaveUpInMenu: 'lost',
  noMessage: 'lost',
  boxHeard: 'aside',
  greetingRecorded: 'aside',
  blocked: 'aside',
  cut: 'aside',
};

export type FateCounts = Readonly<Record<Exclude<Fate, 'aside'>, number>> & { readonly calls: number };

/** An hour of a weekday. */
export interface HourCell extends FateCounts {
  readonly weekday: Weekday;
  readonly hour: number;
  /** Calls to be expected in one such hour, by those days of the span that the log covers. */
  readonly each: number;
}

/** A week, from Monday on. */
export interface WeekCount extends FateCounts {
  readonly monday: DayNumber;
  /** Whether all of its days lie in the span and in the log. */
  readonly isWhole: boolean;
}

/** When people called, of all but blocked calls and those that the line cut. */
export interface WhenFigures extends FateCounts {
  /** All 168 hours of the week, from Monday midnight on. */
  readonly hours: readonly HourCell[];
  readonly weeks: readonly WeekCount[];
  /** The hour in which most call; null where nobody does. */
  readonly busiest: HourCell | null;
  /** The hour in which most are lost; null where nobody is. */
  readonly worst: HourCell | null;
  /** How many days of the span the log covers. */
  readonly days: number;
}

const none: FateCounts = { calls: 0, reached: 0, message: 0, served: 0, lost: 0 };

/**
 * @param span the days that were asked for
 * @param today the last day there can be calls on
 */
export function whenFigures(sums: WhenSums, span: DayRange, today: DayNumber): WhenFigures {
  const covered = coveredBy(sums, span, today);
  const daysOf = (weekday: Weekday): number => covered.filter((day) => weekdayOf(day) === weekday).length;
  const days = new Map(([1, 2, 3, 4, 5, 6, 7] as const).map((weekday) => [weekday, daysOf(weekday)]));
  const hours = [...days].flatMap(([weekday, count]) =>
    Array.from({ length: 24 }, (_, hour): HourCell => {
      const of = counted(sums.byHour.filter((each) => each.weekday === weekday && each.hour === hour));
      return { weekday, hour, ...of, each: count > 0 ? of.calls / count : 0 };
    }),
  );
  return {
    ...counted(sums.byHour),
    hours,
    weeks: weeksOf(sums, covered),
    busiest: most(hours, ({ each }) => each),
    worst: most(hours, ({ lost }) => lost),
    days: covered.length,
  };
}

/** The days of the span between the first call of the log and today. */
function coveredBy({ firstDay }: WhenSums, { from, to }: DayRange, today: DayNumber): readonly DayNumber[] {
  if (firstDay === null) return [];
  const [first, last] = [Math.max(from, firstDay), Math.min(to, today)];
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index);
}

function weeksOf({ byDay }: WhenSums, covered: readonly DayNumber[]): readonly WeekCount[] {
  const mondayOf = (day: DayNumber): DayNumber => day - weekdayOf(day) + 1;
  const mondays = [...new Set(covered.map(mondayOf))];
  return mondays.map((monday) => ({
    monday,
    ...counted(byDay.filter(({ day }) => mondayOf(day) === monday)),
    isWhole: covered.filter((day) => mondayOf(day) === monday).length === 7,
  }));
}

function counted(sums: readonly { readonly outcome: Outcome; readonly calls: number }[]): FateCounts {
  return sums.reduce<FateCounts>((counts, { outcome, calls }) => {
    const fate = fateOf[outcome];
    if (fate === 'aside') return counts;
    return { ...counts, calls: counts.calls + calls, [fate]: counts[fate] + calls };
  }, none);
}

/** Of several alike the first. */
function most<Each>(all: readonly Each[], of: (each: Each) => number): Each | null {
  const best = all.reduce<Each | null>((found, each) => (!found || of(each) > of(found) ? each : found), null);
  return best && of(best) > 0 ? best : null;
}
