import { getExampleNumber, parsePhoneNumberFromString } from 'libphonenumber-js/max';
import examples from 'libphonenumber-js/mobile/examples';
import { right, wrong, type Result } from '../result';
import type { Country } from './country';

/** A telephone number in the form of ITU-T E.164: `+` and up to 15 digits. */
export type E164 = string;

export type PhoneNumberProblem = { readonly type: 'notANumber'; readonly text: string };

/**
 * Reads a number as people write it. One without a `+` is of the country given; where none is, it must say its country.
 * A leading zero that a spreadsheet took away is not missed.
 */
export function readPhoneNumber(text: string, country?: Country): Result<E164, PhoneNumberProblem> {
  const number = parsePhoneNumberFromString(text, country);
  return number?.isPossible() ? right(number.number) : wrong({ type: 'notANumber', text });
}

/** Whether a number was typed as in its country but for the leading zero (its trunk prefix), as spreadsheets leave it. */
export function hasLostZero(text: string, country: Country | undefined): boolean {
  const number = country && parsePhoneNumberFromString(text, country);
  if (!number || number.country !== country) return false;
  const digits = text.replace(/\D/g, '');
  return digits === number.nationalNumber && number.formatNational().startsWith('0');
}

/** A number grouped for reading, as in `+1 207 555 0140`; text that is no number is returned as it is. */
export function showPhoneNumber(number: E164): string {
  return parsePhoneNumberFromString(number)?.formatInternational() ?? number;
}

/** Numbers kept free for fiction by those who give numbers out, where there are such. */
const fictional: Readonly<Partial<Record<Country, string>>> = {
  US: '+1 207 555 0178',
  CA: '+1 613 555 0178',
  GB: '+44 20 7946 0161',
  AU: '+61 2 5550 0161',
  FR: '+33 1 99 00 01 61',
  DE: '+49 30 23125 161',
  IE: '+353 20 910 0161',
};

/** A number of a country to show how one is typed. */
export function exampleNumber(country: Country | undefined): string {
  if (!country) return fictional.US as string;
  return fictional[country] ?? getExampleNumber(country, examples)?.formatInternational() ?? (fictional.US as string);
}
