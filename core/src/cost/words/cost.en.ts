import { budgetState, type Budget } from '../budget';
import type { Forecast } from '../forecast';
import { showAmount, type Currency } from '../money';
import type { Month, MonthCost } from '../price';

const monthNames = [
  ...['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November'],
  'December',
] as const;

/** A month: "November 2026". */
export function sayMonth(month: Month): string {
  const [year, number] = month.split('-').map(Number);
  return `${monthNames[(number ?? 1) - 1]} ${year}`;
}

interface Told {
  readonly currency: Currency;
  /** Null where no budget is set. */
  readonly budget: Budget | null;
  readonly forecast: Forecast | null;
  readonly locale?: string | undefined;
}

/** What this month has cost so far, and what it will. */
export function describeCost(month: MonthCost, { currency, budget, forecast, locale }: Told): string {
  const show = (amount: number): string => showAmount(amount, currency, locale);
  const name = sayMonth(month.month);
  const parts = [`${name} has cost ${show(month.total)} so far${ofWhich(month, show)}.`];
  if (forecast) parts.push(forecastWords(forecast, show));
  if (budget) parts.push(budgetWords(budget, month, forecast, show));
  if (month.withoutCard > 0) {
    const calls = month.withoutCard === 1 ? 'One call is' : `${month.withoutCard} calls are`;
    parts.push(`${calls} from before the first rate card and not counted.`);
  }
  return parts.join(' ');
}

/** What a month cost that is over. */
export function describeMonth(month: MonthCost, currency: Currency, locale?: string): string {
  const show = (amount: number): string => showAmount(amount, currency, locale);
  return `${sayMonth(month.month)} cost ${show(month.total)}${ofWhich(month, show)}.`;
}

function ofWhich({ rent, calls }: MonthCost, show: (amount: number) => string): string {
  const of = calls === 0 ? 'no calls' : calls === 1 ? 'one call' : `${calls.toLocaleString('en')} calls`;
  return rent > 0 ? `, ${show(rent)} of it for the numbers, with ${of}` : `, with ${of}`;
}

function forecastWords({ likely, low, high }: Forecast, show: (amount: number) => string): string {
  const [least, most] = [show(low), show(high)];
  const about = `At this pace it comes to about ${show(likely)} by its end`;
  return least === most ? `${about}.` : `${about}, most likely between ${least} and ${most}.`;
}

/** How a month stands to its budget. */
export function budgetWords(
  budget: Budget,
  month: MonthCost,
  forecast: Forecast | null,
  show: (amount: number) => string,
): string {
  const of = show(budget.amount);
  switch (budgetState(budget, month.total, forecast)) {
    case 'over':
      return `That is over the budget of ${of}.`;
    case 'likely':
      return `That would be over the budget of ${of}.`;
    case 'within':
      return `The budget is ${of}.`;
  }
}
