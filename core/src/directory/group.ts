import type { GroupId } from './ids';
import { membershipDefaults, membershipLimits, ringingOrders, type Membership } from './membership';
import type { E164 } from './phoneNumber';
import type { Rota } from './rota';

/** As queues do, or whoever is on call by the group's rota. */
export const groupOrders = [...ringingOrders, 'onCall'] as const;
export type GroupOrder = (typeof groupOrders)[number];

/** People who are rung together or one after the other for the same callers. */
export interface Group extends Membership {
  readonly id: GroupId;
  /** 1 to 80 characters. */
  readonly name: string;
  /** 2 to 6 digits that ring the group; empty for none. */
  readonly extension: string;
  /** A number that reaches the group without the attendant; empty for none. */
  readonly directNumber: E164 | '';
  readonly order: GroupOrder;
  /** Who is on call when; null for none. Kept while members are rung in another order. */
  readonly rota: Rota | null;
  /** How long members are rung in all, round and round, 5 to 600 s; null for once round. */
  readonly inAllSeconds: number | null;
  /** A code that colleagues dial to speak to all members' phones at once, one way; empty for none. */
  readonly speakerCode: string;
}

export const groupLimits = { inAllSeconds: { least: 5, most: 600, usual: 60 } } as const;
/** How many phones a speaker group speaks to. */
export const mostSpokenTo = membershipLimits.members;
/** What a speaker group or a box is dialled with: digits, perhaps after a star. */
export const codePattern = /^\*?[0-9]{2,6}$/;

export const groupDefaults = {
  ...membershipDefaults,
  extension: '',
  directNumber: '',
  order: 'allAtOnce',
  rota: null,
  inAllSeconds: null,
  speakerCode: '',
} as const satisfies Partial<Group>;
