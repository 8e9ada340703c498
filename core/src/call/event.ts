import type { BoxId, GroupId, PersonId, QueueId } from '../directory';
import type { Answer } from '../hours';
import type { GreetingId, Key, TakeId } from '../line';
import type { RungPhone } from './target';
import type { NotAnswered } from './reasons';

interface Timed {
  /** When it happened, in ms since 1970 on the call's clock, which may be a pretended one. */
  readonly atMs: number;
}

/** What a call goes to past the attendant: an extension or a direct number was dialled, or a box from a desk phone. */
export type DirectTo =
  | { readonly type: 'person'; readonly personId: PersonId }
  /** Somebody who is to be spoken to before a caller is sent on to them: nobody answering ends it. */
  | { readonly type: 'colleague'; readonly personId: PersonId }
  | { readonly type: 'group'; readonly groupId: GroupId }
  | { readonly type: 'queue'; readonly queueId: QueueId }
  | { readonly type: 'box'; readonly boxId: BoxId }
  /** Somebody of the staff speaks a greeting, which is recorded. */
  | { readonly type: 'recorder'; readonly of: PhoneTake };
/** To whom a call can be transferred. */
export type TransferTo = Exclude<DirectTo, { readonly type: 'box' | 'recorder' | 'colleague' }>;

/** What is to be spoken into a desk phone. */
export interface PhoneTake {
  /** Of what it is a recording. */
  readonly name: string;
  /** What is to be said, as text to read. */
  readonly words: string;
  /** What is recorded after it was kept, on the same call; left out for nothing. */
  readonly then?: PhoneTake;
}

/** A caller has rung the line and it answers. Always the first event, and only that. */
export type Dialled = Timed & {
  readonly type: 'dialled';
  readonly callerNumber: string;
  /** Where it goes to past the attendant. */
  readonly to?: DirectTo;
  /** What answers, where one answer is to be looked at whoever calls; else the answering order says. */
  readonly answer?: Answer;
};
export type KeyPressed = Timed & { readonly type: 'keyPressed'; readonly key: Key };
/** The caller said something that was understood as these words. */
export type CallerSpoke = Timed & { readonly type: 'callerSpoke'; readonly words: string };
/** Everything of a `play` effect was heard. */
export type PlayEnded = Timed & { readonly type: 'playEnded'; readonly playId: number };
/** A timer ran out. */
export type TimePassed = Timed & { readonly type: 'timePassed'; readonly timerId: number };
export type StaffAnswered = Timed & { readonly type: 'staffAnswered'; readonly ringId: number };
/** Why a phone cannot be reached, as the line tells it. */
export type Unreached = Extract<NotAnswered, 'busy' | 'away' | 'noLineFree' | 'noSuchNumber' | 'failed'>;
/** The rung phone is in use, they declined, they are away from it, or the line does not reach it. */
export type StaffBusy = Timed & { readonly type: 'staffBusy'; readonly ringId: number; readonly why?: Unreached };
/** A member of the group that rings, or of the queue the caller waits in, is there to talk. */
export type MemberAnswered = Timed & {
  readonly type: 'memberAnswered';
  /** The id of the ringing or the wait. */
  readonly id: number;
  readonly phone: RungPhone;
  /** What the caller hears when put on hold; null for hold music. */
  readonly holdGreetingId: GreetingId | null;
};
export type GroupUnanswered = Timed & {
  readonly type: 'groupUnanswered';
  readonly ringId: number;
  readonly why: NotAnswered;
};
/** The caller has a place in the queue. */
export type Queued = Timed & { readonly type: 'queued'; readonly waitId: number };
/** The queue does not take the caller, or keeps them no longer. */
export type QueueRefused = Timed & {
  readonly type: 'queueRefused';
  readonly waitId: number;
  readonly why: 'full' | 'nobodyWorking' | 'closed';
};
/** How far the caller is: 1 is next; the expected wait is in ms. */
export type PlaceIs = Timed & {
  readonly type: 'placeIs';
  readonly waitId: number;
  readonly place: number;
  readonly expectedWaitMs: number;
};
/** Who talks to the caller puts them on hold, or takes them back. */
export type StaffHeld = Timed & { readonly type: 'staffHeld'; readonly on: boolean };
/** Who talks to the caller sends them to somebody else. */
export type StaffTransferred = Timed & { readonly type: 'staffTransferred'; readonly to: TransferTo };
/** A message as it is heard by phone. */
export interface MessageToHear {
  readonly messageId: string;
  readonly from: string;
  readonly audioId: string;
  readonly lengthMs: number;
}
/** What comes of a PIN: the messages of its box, oldest first; or none, and for how long, in ms, nothing is tried any more. */
export type PinAnswer =
  | { readonly type: 'right'; readonly messages: readonly MessageToHear[] }
  | { readonly type: 'wrong' }
  | { readonly type: 'paused'; readonly forMs: number };
export type PinChecked = Timed & { readonly type: 'pinChecked'; readonly answer: PinAnswer };
/** Who talks to the caller has spoken to a colleague, who takes the call from now on. */
export type StaffHandedOn = Timed & { readonly type: 'staffHandedOn'; readonly personId: PersonId };
/** What was recorded with a desk phone and made good, as callers would hear it. */
export interface FinishedTake {
  readonly takeId: TakeId;
  readonly audioId: string;
  readonly lengthMs: number;
}
/** A recording with a desk phone is ready; null when nothing was heard on it. */
export type TakeFinished = Timed & {
  readonly type: 'takeFinished';
  readonly recordingId: number;
  readonly take: FinishedTake | null;
};
/** Who the call was handed over to has it now; it has left the line. */
export type HandedOver = Timed & { readonly type: 'handedOver'; readonly handOverId: number };
/** The call could not be handed over. */
export type HandOverFailed = Timed & {
  readonly type: 'handOverFailed';
  readonly handOverId: number;
  readonly why: Unreached;
};
/** A key on the phone that was rung, before the two are connected. */
export type StaffPressed = Timed & { readonly type: 'staffPressed'; readonly key: Key };
/** The one the caller talks to, or who was asked to accept the call, put the phone down. */
export type StaffHungUp = Timed & { readonly type: 'staffHungUp' };
export type CallerHungUp = Timed & { readonly type: 'callerHungUp' };

/** Everything that can happen to a call. */
export type CallEvent =
  | Dialled
  | KeyPressed
  | CallerSpoke
  | PlayEnded
  | TimePassed
  | StaffAnswered
  | StaffBusy
  | HandedOver
  | HandOverFailed
  | MemberAnswered
  | GroupUnanswered
  | Queued
  | QueueRefused
  | PlaceIs
  | StaffHeld
  | StaffTransferred
  | StaffHandedOn
  | PinChecked
  | TakeFinished
  | StaffPressed
  | StaffHungUp
  | CallerHungUp;
