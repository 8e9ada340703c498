import type { HourCell, WhenFigures } from '../when';

const weekdays = ['Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays', 'Sundays'] as const;

/** How hours are told: twice twelve, or up to 24. */
export type Dial = 'twelve' | 'twentyFour';

/** An hour of a weekday: "Mondays between 9 and 10 AM", "Mondays between 9:00 and 10:00". */
export function sayHourOf({ weekday, hour }: Pick<HourCell, 'weekday' | 'hour'>, dial: Dial): string {
  return `${weekdays[weekday - 1]} between ${sayHours(hour, dial)}`;
}

/** From an hour to the next: "9 and 10 AM", "11 AM and noon"; "9:00 and 10:00", "23:00 and 24:00". */
export function sayHours(hour: number, dial: Dial): string {
  if (dial === 'twentyFour') return `${hour}:00 and ${hour + 1}:00`;
  const from = sayHour(hour);
  const to = sayHour((hour + 1) % 24);
  const half = from.slice(-3);
  return to.endsWith(half) && / [AP]M$/.test(half) ? `${from.slice(0, -3)} and ${to}` : `${from} and ${to}`;
}

function sayHour(hour: number): string {
  if (hour === 0) return 'midnight';
  if (hour === 12) return 'noon';
  return `${hour % 12 || 12} ${hour < 12 ? 'AM' : 'PM'}`;
}

/** Fewer calls than this tell nothing of when most come; their shares would be of nobody. */
const fewCalls = 20;

/** When people called, in two sentences a manager would say. */
export function describeWhen(figures: WhenFigures, dial: Dial): string {
  const { calls, reached, message, lost, busiest, worst, hours } = figures;
  if (calls === 0 || !busiest) return 'Nobody called.';
  if (calls < fewCalls) {
    const few = calls === 1 ? 'One call' : `${calls} calls`;
    return `${few}: too few to tell when most come. ${reached} reached somebody, ${message} left a message, ${lost} hung up or reached nobody.`;
  }
  const open = `${count(calls, 'call')}. The busiest hour is on ${sayHourOf(busiest, dial)}, with ${about(busiest.each)} each time.`;
  const got = `${percent(reached, calls)} reached somebody, ${percent(message, calls)} left a message`;
  if (lost === 0 || !worst) return `${open} ${got}, and nobody was lost.`;
  // One or two in an hour say nothing of that hour.
  const isTold = worst.lost >= 3 && worst.lost > 1.5 * average(hours);
  const where = isTold ? `, most often on ${sayHourOf(worst, dial)}` : '';
  return `${open} ${got}, and ${count(lost, 'caller')} (${percent(lost, calls)}) hung up or reached nobody${where}.`;
}

function average(hours: readonly HourCell[]): number {
  const lost = hours.filter((cell) => cell.lost > 0);
  return lost.reduce((sum, cell) => sum + cell.lost, 0) / Math.max(1, lost.length);
}

function count(number: number, what: string): string {
  return `${number.toLocaleString('en')} ${what}${number === 1 ? '' : 's'}`;
}

/** Small numbers with a half, others whole. */
function about(number: number): string {
  if (number < 1) return 'fewer than one';
  const rounded = number < 3 ? Math.round(number * 2) / 2 : Math.round(number);
  return Math.abs(rounded - number) < 0.05 ? String(rounded) : `about ${rounded}`;
}

/** A share as people say it: none is 0, all are 100, and nothing between is either. */
export function percent(part: number, all: number): string {
  if (all <= 0) return '0%';
  const share = (100 * part) / all;
  if (part > 0 && share < 1) return 'under 1%';
  if (part < all && share > 99) return 'over 99%';
  return `${Math.round(share)}%`;
}
