import { getCountries, parsePhoneNumberFromString, type CountryCode } from 'libphonenumber-js/max';

/** A country or region, as in ISO 3166-1 alpha-2. */
export type Country = CountryCode;

/** Every country that has telephone numbers. */
export const countries: readonly Country[] = getCountries();

/**
 * The country of a line: that of its own number, else that of its time zone. Numbers typed without their country are
 * read in it. Undefined where neither says.
 */
export function countryOf(line: { readonly number: string; readonly timeZone: string }): Country | undefined {
  const number = parsePhoneNumberFromString(line.number);
  if (!number) return countryOfZone(line.timeZone);
  if (number.country) return number.country;
  // Countries that share a code, such as +1: the zone tells which, where it is one of theirs.
  const inZone = countryOfZone(line.timeZone);
  const sharing = number.getPossibleCountries();
  return inZone && sharing.includes(inZone) ? inZone : mainCountries[number.countryCallingCode];
}

/** The calling code of a whole number (ITU-T E.164), such as `1` or `44`; undefined for what is none. */
export function callingCodeOf(number: string): string | undefined {
  return parsePhoneNumberFromString(number)?.countryCallingCode;
}

/** Of countries that share a calling code (ITU-T E.164), the one it is first of all. */
const mainCountries: Readonly<Record<string, Country>> = {
  1: 'US',
  7: 'RU',
  39: 'IT',
  44: 'GB',
  61: 'AU',
  47: 'NO',
  358: 'FI',
};

let zones: ReadonlyMap<string, Country> | null = null;

function countryOfZone(timeZone: string): Country | undefined {
  zones ??= new Map(getCountries().flatMap((country) => zonesOf(country).map((zone) => [zone, country] as const)));
  return zones.get(timeZone);
}

/** The time zones that a country uses (ECMA-402, Intl Locale Info); some engines have a property, some a function. */
function zonesOf(country: Country): readonly string[] {
  const locale = new Intl.Locale(`und-${country}`) as Intl.Locale & {
    readonly timeZones?: readonly string[];
    readonly getTimeZones?: () => readonly string[] | undefined;
  };
  return locale.getTimeZones?.() ?? locale.timeZones ?? [];
}
