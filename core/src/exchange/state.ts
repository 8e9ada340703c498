import type { CallScript, CallState, PhoneTake, RungPhone, TransferTo } from '../call';
import type { GroupId, PersonId, QueueId } from '../directory';
import { idKind, type Id } from '../id';

export type CallId = Id<'call'>;
export const callId = idKind('call');

/** What somebody of the staff says of themselves. Away is away from the desk: outside phones of theirs are still rung. */
export const presences = ['here', 'busy', 'away'] as const;
export type Presence = (typeof presences)[number];

/** For whom somebody's phone rings. */
export type RungBy =
  /** A step that rings them, an extension, or a transfer. */
  | { readonly type: 'call'; readonly callId: CallId; readonly ringId: number }
  | { readonly type: 'group'; readonly callId: CallId; readonly ringId: number; readonly groupId: GroupId }
  /** Whoever is first in the queue when they answer. */
  | { readonly type: 'queue'; readonly queueId: QueueId }
  /** They are to record a greeting; the call is theirs once they answer, and goes by the script. */
  | { readonly type: 'take'; readonly callId: CallId; readonly script: CallScript; readonly of: PhoneTake };

/** A phone that rings or is talked on, from when it begins to ring until it is free again. */
export interface Leg {
  /** Of all legs of the exchange. */
  readonly id: number;
  readonly phone: RungPhone;
}

export type Doing =
  | { readonly type: 'nothing' }
  | {
      readonly type: 'rung';
      readonly by: RungBy;
      readonly leg: Leg;
      readonly sinceMs: number;
      /** Ends the offer of a queue, the ringing for a recording, or the time to press 1; null where the call or the group keeps the time. */
      readonly timerId: number | null;
      /** They answered an outside phone and are asked to press 1. */
      readonly isAccepting: boolean;
    }
  | { readonly type: 'talking'; readonly callId: CallId; readonly leg: Leg; readonly sinceMs: number }
  /** A call of their own, from the phone on their desk. */
  | {
      readonly type: 'calling';
      readonly callId: CallId;
      /** The phone that was rung for it, to record a greeting; null where they dial on the one on their desk. */
      readonly leg: Leg | null;
      /** A caller on hold meanwhile, to be sent on to whoever is called, and the leg they are talked to on; null for none. */
      readonly held: { readonly callId: CallId; readonly leg: Leg } | null;
    }
  /** They speak to the phones of a speaker group, one way. */
  | {
      readonly type: 'speaking';
      readonly groupId: GroupId;
      /** The phones they are heard on. */
      readonly to: readonly Leg[];
      readonly sinceMs: number;
    };

export interface Staff {
  readonly presence: Presence;
  readonly doing: Doing;
  /** When their last call was over; 0 before the first. */
  readonly lastCallMs: number;
  /** Until when groups and queues leave them alone; in the past when they need no rest. */
  readonly restUntilMs: number;
}

export const newStaff: Staff = { presence: 'here', doing: { type: 'nothing' }, lastCallMs: 0, restUntilMs: 0 };

export interface LiveCall {
  readonly id: CallId;
  /** What it goes by to its end, whatever is put on air meanwhile. */
  readonly script: CallScript;
  readonly state: CallState;
  readonly callerNumber: string;
  readonly sinceMs: number;
  /** Who of the staff makes it; null for a caller from outside. */
  readonly staffCaller: PersonId | null;
  /** Who talks to the caller; null while nobody of the staff does. */
  readonly talkingTo: PersonId | null;
  /** An outside phone that is nobody's of the staff: it rings for the call, or talks on it; null while there is none. */
  readonly outside: Leg | null;
  /** The group or queue that brought the two together, whose rest follows; null for none. */
  readonly broughtBy: GroupId | QueueId | null;
  /** Who sent it to whom last; null where nobody has. */
  readonly transfer: { readonly by: PersonId; readonly to: TransferTo } | null;
}

/** A group being rung for a call. */
export interface Hunt {
  readonly ringId: number;
  readonly groupId: GroupId;
  /** Who began the call before this one; null before the first. Set when it begins. */
  readonly startAfter: PersonId | null;
  /** Who was rung in this round. */
  readonly tried: readonly PersonId[];
  /** Who declined: they are not rung again for this call. */
  readonly declined: readonly PersonId[];
  /** The tier rung last; 0 at the start of each round. */
  readonly tier: number;
  readonly rangInRound: boolean;
  readonly rangAtAll: boolean;
  /** Whether it goes round again while there is time. */
  readonly goesRound: boolean;
  readonly memberTimerId: number | null;
  readonly limitTimerId: number | null;
}

export interface Waiting {
  readonly callId: CallId;
  readonly waitId: number;
  readonly sinceMs: number;
}

export interface QueueLine {
  /** First come first. */
  readonly waiting: readonly Waiting[];
  /** Until when a member who did not answer is not tried again. */
  readonly notBeforeMs: ReadonlyMap<PersonId, number>;
  /** How long calls of this queue take, the last ones counting most. */
  readonly talkMs: number;
}

export const newQueueLine: QueueLine = { waiting: [], notBeforeMs: new Map(), talkMs: 120_000 };

/** What a timer of the exchange is for. */
export type Due =
  | { readonly type: 'member'; readonly callId: CallId }
  | { readonly type: 'limit'; readonly callId: CallId }
  | { readonly type: 'accept'; readonly personId: PersonId }
  | { readonly type: 'offer'; readonly personId: PersonId }
  /** A rest is over, or a member may be tried again. */
  | { readonly type: 'free'; readonly personId: PersonId };

/** Every call on the line and the people they share. Holds no clock and no chance. */
export interface Exchange {
  readonly calls: ReadonlyMap<CallId, LiveCall>;
  readonly staff: ReadonlyMap<PersonId, Staff>;
  readonly hunts: ReadonlyMap<CallId, Hunt>;
  readonly queues: ReadonlyMap<QueueId, QueueLine>;
  /** With whom the last call of a group or queue that takes turns began. */
  readonly turns: ReadonlyMap<GroupId | QueueId, PersonId>;
  readonly timers: ReadonlyMap<number, Due>;
  /** How many timers were started; only ever grows. */
  readonly timersGiven: number;
  /** How many legs there were; only ever grows. */
  readonly legsGiven: number;
}

export const emptyExchange: Exchange = {
  calls: new Map(),
  staff: new Map(),
  hunts: new Map(),
  queues: new Map(),
  turns: new Map(),
  timers: new Map(),
  timersGiven: 0,
  legsGiven: 0,
};
