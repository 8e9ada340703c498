import { weekdayOf, type DayNumber } from '../hours';
import { chanceFrom, quantile } from '../traffic';
import type { Amount } from './money';
import { DayCharges, daysOfMonth, MonthBill, type ChargedCall, type Numbered } from './price';
import type { Rates } from './rateCard';

/** A call with the minute of its day, by the line's clock. */
export interface TimedCall extends ChargedCall {
  readonly minute: number;
}

/** What a month will have cost at its end, rents and tax included. */
export interface Forecast {
  /** As likely to be more as to be less. */
  readonly likely: Amount;
  /** It lies between these in 19 of 20 trials. */
  readonly low: Amount;
  readonly high: Amount;
}

/** How many weeks back days are drawn from. */
const weeksBack = 8;
const trials = 400;
const seed = 20_260_101;

/** From which day on calls are needed for a forecast. */
export function forecastDays(today: DayNumber): DayNumber {
  return today - 7 * weeksBack;
}

/**
 * What this month comes to if it goes on as the last eight weeks went: each day that is left is drawn from days of that weekday,
 * today from what came after this time of day, and the whole month is charged call by call; four hundred times over, always
 * the same draws. Null while no whole day of the log can be drawn from.
 *
 * @param calls in the order in which they began, from eight weeks back (and from the first of this month) on
 * @param firstDay of the log
 * @param now today, and the minute of it
 */
export function forecastMonth(
  rates: Rates,
  lines: readonly Numbered[],
  calls: readonly TimedCall[],
  firstDay: DayNumber,
  now: { readonly day: DayNumber; readonly minute: number },
): Forecast | null {
  const { from, to } = daysOfMonth(now.day);
  // The log may have begun in the middle of its first day.
  const first = Math.max(firstDay + 1, forecastDays(now.day));
  if (first >= now.day) return null;
  const byDay = new Map<DayNumber, TimedCall[]>();
  for (const call of calls) {
    const of = byDay.get(call.day);
    if (of) of.push(call);
    else byDay.set(call.day, [call]);
  }
  const drawn = Array.from({ length: now.day - first }, (_, index) => first + index);
  const like = (day: DayNumber): readonly DayNumber[] => {
    const same = drawn.filter((each) => weekdayOf(each) === weekdayOf(day));
    return same.length > 0 ? same : drawn;
  };
  const charges = (day: DayNumber, afterMinute: number): DayCharges =>
    new DayCharges((byDay.get(day) ?? []).filter(({ minute }) => minute > afterMinute));
  const whole = new Map(drawn.map((day) => [day, charges(day, -1)]));
  // What the rest of today may be like, then each day that is left.
  const choices = [
    like(now.day).map((day) => charges(day, now.minute)),
    ...Array.from({ length: to - now.day }, (_, index) =>
      like(now.day + 1 + index).flatMap((day) => whole.get(day) ?? []),
    ),
  ];
  const soFar = daysFrom(from, now.day).map((day) => ({ day, charges: charges(day, -1) }));
  const chance = chanceFrom(seed);
  const totals = Array.from({ length: trials }, () => {
    const bill = new MonthBill(rates, lines, now.day);
    for (const each of soFar) bill.addDay(each.day, each.charges);
    choices.forEach((alike, index) => {
      const drawnOne = alike[Math.floor(chance() * alike.length)];
      if (drawnOne) bill.addDay(now.day + index, drawnOne);
    });
    return bill.cost().total;
  }).sort((one, other) => one - other);
  return {
    likely: quantile(totals, 0.5) ?? 0,
    low: quantile(totals, 0.025) ?? 0,
    high: quantile(totals, 0.975) ?? 0,
  };
}

function daysFrom(from: DayNumber, to: DayNumber): readonly DayNumber[] {
  return Array.from({ length: to - from + 1 }, (_, index) => from + index);
}
