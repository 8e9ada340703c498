import type { Id } from '../id';
import type { PersonId } from './ids';
import { phonesRung, works, type Person, type PersonPhone, type Keeps } from './person';

/** Somebody who answers for a group or a queue. */
export interface Member {
  readonly personId: PersonId;
  /** Which tier they are rung in, 1 to 9, where members are rung tier by tier. */
  readonly tier: number;
}

/** How members are rung: all at once, from the top, each call after where the last began, who was longest without a call, or tiers. */
export const ringingOrders = ['allAtOnce', 'inOrder', 'takingTurns', 'longestFree', 'tierByTier'] as const;
export type RingingOrder = (typeof ringingOrders)[number];

export const ringsOn = ['desk', 'outside', 'onCall'] as const;
/**
 * Which of their phones a member is rung on: the one on the desk, the first outside one, or the one for on call, else an
 * outside one. Somebody without it is rung on the first they have. Phones for on call only ring for nothing else.
 */
export type RingsOn = (typeof ringsOn)[number];

/** What groups and queues have in common: who answers, and when they are rung. */
export interface Membership {
  /** In their order; nobody twice. */
  readonly members: readonly Member[];
  /** How long a member is rung before the next, 5 to 300 s; for all at once and tiers, how long those rung together are. */
  readonly memberSeconds: number;
  /** How long a member is left alone after a call of this group or queue, 0 to 900 s. */
  readonly restSeconds: number;
  readonly ringsOn: RingsOn;
  /** Whether members outside their own hours are left out. */
  readonly workingOnly: boolean;
  /** When it can be reached; null for whenever a path leads to it. */
  readonly hoursId: Id<'hours'> | null;
  /** Said to callers who come outside these hours, before their path; 0 to 3,000 characters. */
  readonly closedWords: string;
  /** Said instead on special dates of these hours whose own words are not meant for it; empty for the same. */
  readonly specialWords: string;
}

/** Why a group or queue takes no callers at all: it is outside its hours, by the week or for a special date. */
export const closedReasons = ['closed', 'special'] as const;
export type ClosedReason = (typeof closedReasons)[number];

export const membershipLimits = {
  members: 64,
  memberSeconds: { least: 5, most: 300, usual: 18 },
  restSeconds: { least: 0, most: 900 },
  tier: { least: 1, most: 9 },
} as const;

export const membershipDefaults = {
  members: [],
  memberSeconds: membershipLimits.memberSeconds.usual,
  restSeconds: 0,
  ringsOn: 'desk',
  workingOnly: true,
  hoursId: null,
  closedWords: '',
  specialWords: '',
} as const satisfies Membership;

/** The first member who is there twice. */
export function memberTwice(members: readonly Member[]): PersonId | undefined {
  const seen = new Set<PersonId>();
  return members.find(({ personId }) => seen.size === seen.add(personId).size)?.personId;
}

const phonesKnown = new WeakMap<readonly PersonPhone[], Map<RingsOn, PersonPhone | undefined>>();

/**
 * The phone on which a member is rung, of those that `keeps` lets ring at a moment; left out, of all. Asked for every member
 * at every offer: what was found out is remembered.
 */
export function memberPhone({ phones }: Pick<Person, 'phones'>, on: RingsOn, keeps?: Keeps): PersonPhone | undefined {
  if (keeps && phones.some(({ hoursId }) => hoursId)) {
    return phoneAmong(phonesRung({ phones }, on === 'onCall', keeps), on);
  }
  let known = phonesKnown.get(phones);
  if (!known) phonesKnown.set(phones, (known = new Map()));
  if (!known.has(on)) known.set(on, phoneAmong(phonesRung({ phones }, on === 'onCall'), on));
  return known.get(on);
}

function phoneAmong(phones: readonly PersonPhone[], on: RingsOn): PersonPhone | undefined {
  const isMeant = ({ type, onCallOnly }: PersonPhone): boolean => (on === 'onCall' ? onCallOnly === true : type === on);
  return phones.find(isMeant) ?? phones.find(({ type }) => on === 'onCall' && type === 'outside') ?? phones[0];
}

/**
 * The members who can be rung at a moment whether they are free or not: who work, as `keeps` says it of hours, and have a
 * phone that is rung. None outside the hours of the group or queue.
 */
export function membersAtWork<Each extends Pick<Person, 'phones' | 'hoursId'>>(
  membership: Membership,
  personOf: (id: PersonId) => Each | undefined,
  keeps: Keeps,
): readonly { readonly personId: PersonId; readonly person: Each; readonly phone: PersonPhone }[] {
  const { members, hoursId, ringsOn: on, workingOnly } = membership;
  const at: { readonly personId: PersonId; readonly person: Each; readonly phone: PersonPhone }[] = [];
  if (!works({ hoursId }, keeps)) return at;
  for (const { personId } of members) {
    const person = personOf(personId);
    const phone = person && memberPhone(person, on, keeps);
    if (person && phone && (!workingOnly || works(person, keeps))) at.push({ personId, person, phone });
  }
  return at;
}
