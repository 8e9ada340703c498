import { anonymousCaller, readPhoneNumber, type Country } from '@locutor/core/directory';

/** The number as lists of callers know it; nothing typed, or a word, is a caller who hides it. */
export function callerOf(typed: string, country: Country | undefined): string {
  const number = readPhoneNumber(typed, country);
  return number.ok ? number.value : anonymousCaller;
}
