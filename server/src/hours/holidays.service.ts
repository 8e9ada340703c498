import { Injectable } from '@nestjs/common';
import Holidays from 'date-holidays';
import { breath } from '../clock/breath';
import { invalid } from '../problems/problem';

export interface HolidayPlace {
  /** ISO 3166-1 alpha-2, in capitals. */
  readonly country: string;
  readonly name: string;
  readonly regions: readonly { readonly region: string; readonly name: string }[];
}

export interface Holiday {
  readonly name: string;
  /** First and last day, as in ISO 8601. */
  readonly from: string;
  readonly to: string;
  /** From which minute of its first day on; 0 for whole days. Some afternoons are kept, such as Christmas Eve’s. */
  readonly startMin: number;
}

const dayMs = 86_400_000;
export const mostYears = 10;

/** Public holidays by country and region, as the package `date-holidays` knows them. */
@Injectable()
export class HolidaysService {
  places(): readonly HolidayPlace[] {
    const known = new Holidays();
    return Object.entries(known.getCountries('en'))
      .map(([country, name]) => ({ country, name, regions: regionsOf(known, country) }))
      .sort((one, other) => one.name.localeCompare(other.name, 'en'));
  }

  /** The regions of a country whose public holidays of a year are not those that are kept all over it. */
  async apart(country: string, year: number): Promise<HolidayPlace['regions']> {
    const daysOf = (region: string): string =>
      this.of(country, region, year, 1)
        .map(({ name, from }) => `${from} ${name}`)
        .join();
    const everywhere = daysOf('');
    const found: HolidayPlace['regions'][number][] = [];
    for (const each of regionsOf(this.knownOf(country, ''), country)) {
      if (daysOf(each.region) !== everywhere) found.push(each);
      // Some countries have dozens of regions, and calls go on meanwhile.
      await breath();
    }
    return found;
  }

  /** @throws Problem 422 for a country or region that is none. */
  private knownOf(country: string, region: string): Holidays {
    const known = new Holidays();
    const isThere = country in known.getCountries('en') && (region === '' || isRegion(known, country, region));
    if (!isThere) throw invalid([{ at: 'country', says: 'The holidays of that country or region are not known.' }]);
    if (region) known.init(country, region);
    else known.init(country);
    return known;
  }

  /** The public holidays of some years, and the afternoons that many businesses keep. Days kept in place of others have the name of the holiday itself. */
  of(country: string, region: string, from: number, years: number): readonly Holiday[] {
    const known = this.knownOf(country, region);
    return Array.from({ length: years }, (_, index) => from + index).flatMap((year) =>
      known
        .getHolidays(year)
        .filter(({ type, date }) => type === 'public' || (halfDays.has(type) && startOf(date) > 0))
        .map((holiday): Holiday => {
          const first = holiday.date.slice(0, 10);
          // An hour less or more at a clock change does not make another day.
          const days = Math.max(1, Math.round((holiday.end.getTime() - holiday.start.getTime()) / dayMs));
          const last = new Date(Date.parse(`${first}T00:00Z`) + (days - 1) * dayMs).toISOString().slice(0, 10);
          return { name: bareName(holiday.name), from: first, to: last, startMin: startOf(holiday.date) };
        }),
    );
  }
}

/** Holidays that are kept on an afternoon only are none by law; many businesses close then. */
const halfDays: ReadonlySet<string> = new Set(['bank', 'optional']);

/** The minute of the day at which a holiday begins, from `2026-12-24 14:00:00`. */
function startOf(date: string): number {
  const [hour = 0, minute = 0] = date.slice(11, 16).split(':').map(Number);
  return hour * 60 + minute;
}

/** Regions where holidays may be other than in the rest of the country. */
function regionsOf(known: Holidays, country: string): HolidayPlace['regions'] {
  const states = (known.getStates(country, 'en') as Record<string, string> | undefined) ?? {};
  return Object.entries(states).map(([region, name]) => ({ region, name }));
}

function isRegion(known: Holidays, country: string, region: string): boolean {
  return regionsOf(known, country).some((each) => each.region === region);
}

/** The name itself, without "(substitute day)" after it. */
function bareName(name: string): string {
  return name.replace(/\s*\([^)]*\)$/, '').trim() || name;
}
