import { countryOf, type Country } from '../directory';
import type { EnglishClock } from './saidHours';

/** Where people who speak English say "seven thirty a.m." rather than "half past seven". */
const tellMinutes: ReadonlySet<Country> = new Set<Country>([
  'US',
  'CA',
  'PR',
  'PH',
  'BS',
  'BB',
  'JM',
  'TT',
  'GU',
  'VI',
  'AS',
  'MP',
  'BM',
  'KY',
]);

const known = new Map<string, EnglishClock>();

/** How the time is told to callers of a line who speak English, by the country that it is in. */
export function englishClockOf(line: { readonly number: string; readonly timeZone: string }): EnglishClock {
  const key = `${line.number} ${line.timeZone}`;
  let clock = known.get(key);
  if (!clock) {
    const country = countryOf(line);
    known.set(key, (clock = country && tellMinutes.has(country) ? 'amPm' : 'halfPast'));
  }
  return clock;
}
