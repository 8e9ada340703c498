import { weekdayOf, yearOf, type DayNumber } from './calendar';
import { cutTimes } from './dayTimes';
import { minutesOfDay, type DaySpan, type Hours } from './hours';
import { seasonOn, type Season } from './season';
import { daysOf, type DayRange, type SpecialDate } from './specialDate';

/** What one day of the calendar is like. */
export interface DayPlan {
  readonly day: DayNumber;
  /** The season whose week it is; null for the regular week. */
  readonly season: Season | null;
  /** The special date that it is; null for none. */
  readonly special: SpecialDate | null;
  /** What begins on it, in the order entered. */
  readonly spans: readonly DaySpan[];
}

interface SpecialDays extends DayRange {
  readonly date: SpecialDate;
}

interface Known {
  readonly plans: Map<DayNumber, DayPlan>;
  readonly years: Map<number, readonly SpecialDays[]>;
}

const known = new WeakMap<Hours, Known>();
/** A day is about 200 bytes: some years of days are kept, not centuries. */
const mostPlans = 5000;

/** What a day is like: its special date, else its season, else the regular week. Remembered for each set of hours. */
export function dayPlan(hours: Hours, day: DayNumber): DayPlan {
  const { plans } = knownOf(hours);
  let plan = plans.get(day);
  if (!plan) {
    if (plans.size >= mostPlans) plans.clear();
    plans.set(day, (plan = makePlan(hours, day)));
  }
  return plan;
}

function knownOf(hours: Hours): Known {
  let found = known.get(hours);
  if (!found) known.set(hours, (found = { plans: new Map(), years: new Map() }));
  return found;
}

function makePlan(hours: Hours, day: DayNumber): DayPlan {
  const season = seasonOn(hours.seasons, day) ?? null;
  const weekday = weekdayOf(day);
  const usual = (season ?? hours).week.filter((span) => span.day === weekday);
  const special = specialOn(hours, day);
  return { day, season, special, spans: special ? spansOn(special, usual) : usual };
}

function spansOn({ hours }: SpecialDate, usual: readonly DaySpan[]): readonly DaySpan[] {
  if (hours.type === 'times') return hours.spans;
  // Closed to the end of the day is closed for all that began on it, over midnight too.
  const cut = { startMin: hours.startMin, endMin: hours.endMin === minutesOfDay ? 2 * minutesOfDay : hours.endMin };
  return usual.flatMap((span) => cutTimes([span], cut).map((time) => ({ periodId: span.periodId, ...time })));
}

/** Of several on a day: what is there once beats what comes every year, the shorter the longer, the earlier the later. */
function specialOn(hours: Hours, day: DayNumber): SpecialDate | null {
  const candidates = specialDaysAround(hours, day).filter(({ from, to }) => day >= from && day <= to);
  const [first, ...others] = candidates;
  if (!first) return null;
  const isOnce = ({ date }: SpecialDays): number => (date.when.type === 'once' ? 0 : 1);
  const beats = (one: SpecialDays, other: SpecialDays): boolean =>
    isOnce(one) !== isOnce(other) ? isOnce(one) < isOnce(other) : one.to - one.from < other.to - other.from;
  return others.reduce((best, each) => (beats(each, best) ? each : best), first).date;
}

/** Those that can reach a day: of its year and the ones beside it. */
function specialDaysAround(hours: Hours, day: DayNumber): readonly SpecialDays[] {
  if (hours.special.length === 0) return [];
  const year = yearOf(day);
  return [year - 1, year, year + 1].flatMap((each) => specialDaysOf(hours, each));
}

/** The special dates of a year with the days they fall on, in the order of the list. */
export function specialDaysOf(hours: Hours, year: number): readonly SpecialDays[] {
  const { years } = knownOf(hours);
  let found = years.get(year);
  if (!found) {
    found = hours.special.flatMap((date): SpecialDays[] => {
      const range = daysOf(date, year);
      return range ? [{ ...range, date }] : [];
    });
    years.set(year, found);
  }
  return found;
}
