import { newCard, one, type Budget, type RateCard, type Rates } from '@locutor/core/cost';
import { showDate, type DayNumber } from '@locutor/core/hours';

const cents = one / 100;
const before: RateCard = {
  ...newCard,
  from: '',
  rent: 6.5 * one,
  includedMinutes: 250,
  perMinuteIn: 1.1 * cents,
  perMinuteOut: 1.8 * cents,
  outside: [{ beginsWith: '+1800', perMinute: 0 }],
  taxPercent: 5.5,
};

/** A year's prices, and dearer ones since the first of a month in autumn. */
export function ratesOf(today: DayNumber): Rates {
  const [year = 2000, month = 1] = showDate(today).split('-').map(Number);
  const autumn = `${month >= 10 ? year : year - 1}-10-01`;
  const cards = [
    { ...before, from: `${year - 2}-01-01` },
    { ...before, from: autumn, includedMinutes: 200, perMinuteIn: 1.4 * cents },
  ];
  return { currency: 'USD', cards };
}

export const budget: Omit<Budget, 'tell'> = { amount: 36 * one };
