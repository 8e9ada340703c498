import { weekdayOf, yearOf, type DayNumber } from './calendar';
import { cutTimes } from './dayTimes';
import { type Hours } from './hours';
import { minutesOfDay, weekdays, type DaySpan, type WeekSpan } from './week';
import type { DatedWeekId, SeasonId, SpecialDateId } from './ids';
import { weekIdOn, weekOn, type WeekOfDay } from './weekOn';
import { daysOf, type DayRange, type SpecialDate } from './specialDate';

/** What one day of the calendar is like. */
export interface DayPlan {
  readonly day: DayNumber;
  /** Whose week it is: that of a season, a dated one, or the regular one. */
  readonly week: WeekOfDay;
  /** The special date that it is; null for none. */
  readonly special: SpecialDate | null;
  /** What begins on it, in the order entered. */
  readonly spans: readonly PlannedSpan[];
}

/** When a period runs, with the day that owns it and what made it so. */
export interface PlannedSpan extends DaySpan {
  readonly day: DayNumber;
  /** The special date, season or dated week whose times these are; null for the regular week. */
  readonly from: SpecialDateId | SeasonId | DatedWeekId | null;
}

interface SpecialDays extends DayRange {
  readonly date: SpecialDate;
  /** Where it stands among the special dates. */
  readonly place: number;
}

interface Known {
  readonly plans: Map<DayNumber, DayPlan>;
  readonly years: Map<number, readonly SpecialDays[]>;
  /** The special date of each day of a year that is one. */
  readonly dates: Map<number, ReadonlyMap<DayNumber, SpecialDate>>;
  readonly weeks: Map<readonly WeekSpan[], readonly (readonly WeekSpan[])[]>;
}

const known = new WeakMap<Hours, Known>();
/** A day is about 200 bytes: some years of days are kept, not centuries. */
const mostPlans = 5000;

/** What a day is like: its special date, else the week it has. Remembered for each set of hours. */
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
  if (!found) known.set(hours, (found = { plans: new Map(), years: new Map(), dates: new Map(), weeks: new Map() }));
  return found;
}

function makePlan(hours: Hours, day: DayNumber): DayPlan {
  const week = weekOn(hours, day);
  const usual = daysOfWeek(hours, week.of.week)[weekdayOf(day) - 1] ?? [];
  const special = datesOf(hours, yearOf(day)).get(day) ?? null;
  const from = special?.id ?? weekIdOn(hours, day);
  const spans = (special ? spansOn(special, usual) : usual).map(({ periodId, startMin, endMin }): PlannedSpan => ({
    periodId,
    startMin,
    endMin,
    day,
    from,
  }));
  return { day, week, special, spans };
}

/** The spans of each weekday of a week. */
function daysOfWeek(hours: Hours, week: readonly WeekSpan[]): readonly (readonly WeekSpan[])[] {
  const { weeks } = knownOf(hours);
  let days = weeks.get(week);
  if (!days) {
    days = weekdays.map((weekday) => week.filter((span) => span.day === weekday));
    weeks.set(week, days);
  }
  return days;
}

function spansOn({ hours }: SpecialDate, usual: readonly DaySpan[]): readonly DaySpan[] {
  if (hours.type === 'times') return hours.spans;
  // Closed to the end of the day is closed for all that began on it, over midnight too.
  const cut = { startMin: hours.startMin, endMin: hours.endMin === minutesOfDay ? 2 * minutesOfDay : hours.endMin };
  return usual.flatMap((span) => cutTimes([span], cut).map((time) => ({ periodId: span.periodId, ...time })));
}

/** The special date that each day of a year is, for those that are one. */
function datesOf(hours: Hours, year: number): ReadonlyMap<DayNumber, SpecialDate> {
  const { dates } = knownOf(hours);
  let found = dates.get(year);
  if (!found) {
    const winners = new Map<DayNumber, SpecialDays>();
    // Those of the years beside it can reach into it.
    for (const each of [year - 1, year, year + 1].flatMap((near) => specialDaysOf(hours, near))) {
      for (let day = each.from; day <= each.to; day += 1) {
        const other = winners.get(day);
        if (!other || beats(each, other)) winners.set(day, each);
      }
    }
    found = new Map([...winners].map(([day, { date }]) => [day, date]));
    dates.set(year, found);
  }
  return found;
}

/** Of several on a day: what is there once beats what comes every year, the shorter the longer, the earlier the later. */
function beats(one: SpecialDays, other: SpecialDays): boolean {
  const [isOnce, otherIsOnce] = [one.date.when.type === 'once', other.date.when.type === 'once'];
  if (isOnce !== otherIsOnce) return isOnce;
  const longer = other.to - other.from - (one.to - one.from);
  return longer === 0 ? one.place < other.place : longer > 0;
}

/** The special dates of a year with the days they fall on, in the order of the list. */
export function specialDaysOf(hours: Hours, year: number): readonly SpecialDays[] {
  const { years } = knownOf(hours);
  let found = years.get(year);
  if (!found) {
    found = hours.special.flatMap((date, place): SpecialDays[] => {
      const range = daysOf(date, year);
      return range ? [{ ...range, date, place }] : [];
    });
    years.set(year, found);
  }
  return found;
}
