import type { Id } from '../id';
import type { PersonId } from './ids';
import type { Person, PersonPhone } from './person';

/** Somebody who answers for a group or a queue. */
export interface Member {
  readonly personId: PersonId;
  /** Which tier they are rung in, 1 to 9, where members are rung tier by tier. */
  readonly tier: number;
}

/** How members are rung: all at once, from the top, each call after where the last began, who was longest without a call, or tiers. */
export const ringingOrders = ['allAtOnce', 'inOrder', 'takingTurns', 'longestFree', 'tierByTier'] as const;
export type RingingOrder = (typeof ringingOrders)[number];

export const ringsOn = ['desk', 'outside'] as const;
/** Which of their phones a member is rung on: the one on the desk, or the first outside one. Somebody without it is rung on the first they have. */
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
}

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
} as const satisfies Membership;

/** The first member who is there twice. */
export function memberTwice(members: readonly Member[]): PersonId | undefined {
  const seen = new Set<PersonId>();
  return members.find(({ personId }) => seen.size === seen.add(personId).size)?.personId;
}

/** The phone on which a member is rung. */
export function memberPhone({ phones }: Pick<Person, 'phones'>, on: RingsOn): PersonPhone | undefined {
  return phones.find(({ type }) => type === on) ?? phones[0];
}
