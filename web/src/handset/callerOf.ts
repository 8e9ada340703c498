import { anonymousCaller, readPhoneNumber } from '@locutor/core/directory';

/** The number as lists of callers know it; nothing typed, or a word, is a caller who hides it. */
export function callerOf(typed: string): string {
  const number = readPhoneNumber(typed);
  return number.ok ? number.value : anonymousCaller;
}
