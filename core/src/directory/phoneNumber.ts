import { parsePhoneNumberFromString, type CountryCode } from 'libphonenumber-js';
import { right, wrong, type Result } from '../result';

/** A telephone number in the form of ITU-T E.164: `+` and up to 15 digits. */
export type E164 = string;

export type PhoneNumberProblem = { readonly type: 'notANumber'; readonly text: string };

/** Reads a number as people write it; one without a `+` is taken to be of the country given. */
export function readPhoneNumber(text: string, country: CountryCode = 'US'): Result<E164, PhoneNumberProblem> {
  const number = parsePhoneNumberFromString(text, country);
  return number?.isPossible() ? right(number.number) : wrong({ type: 'notANumber', text });
}

/** A number grouped for reading, as in `+1 207 555 0140`; text that is no number is returned as it is. */
export function showPhoneNumber(number: E164): string {
  return parsePhoneNumberFromString(number)?.formatInternational() ?? number;
}
