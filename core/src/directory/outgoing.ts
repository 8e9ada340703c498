import { parsePhoneNumberFromString, type PhoneNumber } from 'libphonenumber-js/max';
import type { Country } from './country';
import type { E164 } from './phoneNumber';

/** Kinds of outside number that cost more than others. */
export const costlyKinds = ['premium', 'sharedCost', 'satellite'] as const;
export type CostlyKind = (typeof costlyKinds)[number];
export type NumberKind = CostlyKind | 'ordinary';

/** Which outside numbers may be called, and how many outside phones may ring or be talked on at once. */
export interface OutgoingLimits {
  /** The kinds that may be called besides ordinary ones. */
  readonly kinds: readonly CostlyKind[];
  /** The countries whose numbers may be called (ISO 3166-1); null for all of them. */
  readonly countries: readonly Country[] | null;
  /** 1 to 500. */
  readonly mostAtOnce: number;
}

export const usualOutgoing: OutgoingLimits = { kinds: ['sharedCost'], countries: null, mostAtOnce: 30 };
export const mostOutgoingAtOnce = 500;

/** Why a number may not be called: its kind, or its country (null for a number of no country). */
export type Disallowed =
  { readonly type: 'kind'; readonly kind: CostlyKind } | { readonly type: 'country'; readonly country: Country | null };

/** Country codes of satellites and of networks that span countries (ITU-T E.164, list of assigned codes). */
const satelliteCodes: readonly string[] = ['870', '881', '882', '883'];
/** The international premium rate service. */
const premiumCode = '979';

const typeKinds: Readonly<Partial<Record<NonNullable<ReturnType<PhoneNumber['getType']>>, CostlyKind>>> = {
  PREMIUM_RATE: 'premium',
  SHARED_COST: 'sharedCost',
};

/** What kind of number an outside number is. */
export function kindOfNumber(number: E164): NumberKind {
  const read = parsePhoneNumberFromString(number);
  return read ? kindOf(read) : 'ordinary';
}

function kindOf(number: PhoneNumber): NumberKind {
  if (satelliteCodes.includes(number.countryCallingCode)) return 'satellite';
  if (number.countryCallingCode === premiumCode) return 'premium';
  const type = number.getType();
  return (type && typeKinds[type]) ?? 'ordinary';
}

/** Why a number may not be called; undefined when it may. */
export function whyDisallowed(number: E164, { kinds, countries }: OutgoingLimits): Disallowed | undefined {
  const read = parsePhoneNumberFromString(number);
  if (!read) return undefined;
  const kind = kindOf(read);
  if (kind !== 'ordinary' && !kinds.includes(kind)) return { type: 'kind', kind };
  if (!countries) return undefined;
  // A number that several countries may have, such as a toll-free one of +1, is as good as theirs.
  const possible = read.country ? [read.country] : read.getPossibleCountries();
  if (possible.some((country) => countries.includes(country))) return undefined;
  return { type: 'country', country: read.country ?? possible[0] ?? null };
}

const known = new WeakMap<OutgoingLimits, Map<E164, boolean>>();

/** Whether a number may be called. Asked for each phone that rings: what was found out is remembered. */
export function mayCall(number: E164, limits: OutgoingLimits): boolean {
  let found = known.get(limits);
  if (!found) known.set(limits, (found = new Map()));
  let may = found.get(number);
  if (may === undefined) found.set(number, (may = whyDisallowed(number, limits) === undefined));
  return may;
}
