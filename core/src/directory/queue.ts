import type { Id } from '../id';
import type { QueueId } from './ids';
import { closedReasons, membershipDefaults, type Membership, type RingingOrder } from './membership';

/** One stretch of what waiting callers hear, over and over. */
export type WaitingPart =
  /** Hold music for so long, 5 to 300 s. */
  | { readonly type: 'music'; readonly seconds: number }
  | { readonly type: 'words'; readonly words: string }
  | { readonly type: 'greeting'; readonly greetingId: Id<'greeting'> };

/** Members pick a waiting call themselves, or are offered one as in a group. */
export type OfferOrder = RingingOrder | 'pick';

/** Callers wait here in turn until a member is free. */
export interface Queue extends Membership {
  readonly id: QueueId;
  /** 1 to 80 characters. */
  readonly name: string;
  /** 2 to 6 digits; empty for none. */
  readonly extension: string;
  readonly order: OfferOrder;
  /** Said once before waiting; 0 to 3,000 characters. */
  readonly entryWords: string;
  /** What is heard while waiting, over and over; hold music when empty. */
  readonly waiting: readonly WaitingPart[];
  /** How often the place in line is said, 15 to 600 s; null for never. */
  readonly placeEverySeconds: number | null;
  /** Whether the expected wait is said with the place. */
  readonly saysExpectedWait: boolean;
  /** How long after a try a member who did not answer is tried again, 5 to 600 s. */
  readonly retrySeconds: number;
  /** 1 to 200. */
  readonly mostCallers: number;
  /** 10 to 3,600 s. */
  readonly longestWaitSeconds: number;
  /** The key that leaves the queue; null for none. */
  readonly exitKey: ExitKey | null;
  /** What a caller hears whom a member puts on hold; null for hold music. */
  readonly holdGreetingId: Id<'greeting'> | null;
  /** A paused queue takes no new callers; those who wait are still answered. */
  readonly paused: boolean;
}

export const exitKeys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '*', '#'] as const;
export type ExitKey = (typeof exitKeys)[number];

/** Why a queue lets a caller go without having connected them. */
export const queueReasons = ['full', 'tooLong', 'nobodyWorking', ...closedReasons, 'exitKey'] as const;
export type QueueReason = (typeof queueReasons)[number];

export const queueLimits = {
  placeEverySeconds: { least: 15, most: 600, usual: 60 },
  retrySeconds: { least: 5, most: 600, usual: 30 },
  mostCallers: { least: 1, most: 200, usual: 10 },
  longestWaitSeconds: { least: 10, most: 3600, usual: 180 },
  musicSeconds: { least: 5, most: 300, usual: 30 },
  waitingParts: 20,
  /** Callers put up with two to four minutes. */
  longestAdvisedWaitSeconds: 240,
} as const;

export const queueDefaults = {
  ...membershipDefaults,
  extension: '',
  order: 'longestFree',
  entryWords: 'Please hold the line. Calls are answered in turn.',
  waiting: [{ type: 'music', seconds: queueLimits.musicSeconds.usual }],
  placeEverySeconds: queueLimits.placeEverySeconds.usual,
  saysExpectedWait: true,
  retrySeconds: queueLimits.retrySeconds.usual,
  mostCallers: queueLimits.mostCallers.usual,
  longestWaitSeconds: queueLimits.longestWaitSeconds.usual,
  exitKey: '*',
  holdGreetingId: null,
  paused: false,
} as const satisfies Partial<Queue>;
