import { countryOf, type Country } from '@locutor/core/directory';
import { useLines } from '../api/resources';

/** The country of the business, in which numbers are read that do not say their own: that of its first line. */
export function useCountry(): Country | undefined {
  const first = useLines().data?.[0];
  return first && countryOf(first);
}
