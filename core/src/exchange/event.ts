import type { CallEvent, CallScript, DirectTo, PhoneTake, TransferTo, Unreached } from '../call';
import type { PersonId } from '../directory';
import type { Answer } from '../hours';
import type { Key } from '../line';
import type { CallId, Presence } from './state';

interface Timed {
  /** When it happened, in ms since 1970. */
  readonly atMs: number;
}

interface ByStaff extends Timed {
  readonly personId: PersonId;
}

/** Somebody outside rings a number of the business. */
export type CallArrives = Timed & {
  readonly type: 'callArrives';
  readonly callId: CallId;
  readonly callerNumber: string;
  /** What the call goes by to its end. */
  readonly script: CallScript;
  /** A group whose direct number was dialled. */
  readonly to?: DirectTo;
  /** What answers, where one answer is to be looked at; else the answering order says. */
  readonly answer?: Answer;
};
/** Something happened to one call, from its caller's side or its clock's. */
export type OfCall = { readonly type: 'ofCall'; readonly callId: CallId; readonly event: CallEvent };
/** A timer of the exchange ran out. */
export type TimerOver = Timed & { readonly type: 'timerOver'; readonly timerId: number };
export type StaffAnswers = ByStaff & { readonly type: 'staffAnswers' };
/** They decline, or the line does not reach the phone that is to ring. */
export type StaffDeclines = ByStaff & { readonly type: 'staffDeclines'; readonly why?: Unreached };
/** A key on the phone that was answered and asks to be accepted, or during a call of their own. */
export type StaffPresses = ByStaff & { readonly type: 'staffPresses'; readonly key: Key };
/** They put the phone down, whatever they were doing with it. */
export type StaffHangsUp = ByStaff & { readonly type: 'staffHangsUp' };
export type StaffHolds = ByStaff & { readonly type: 'staffHolds'; readonly on: boolean };
export type StaffTransfers = ByStaff & { readonly type: 'staffTransfers'; readonly to: TransferTo };
/** They put their caller on hold and call a colleague, to speak to them before the caller is sent on. */
export type StaffConsults = ByStaff & {
  readonly type: 'staffConsults';
  readonly colleague: PersonId;
  readonly callId: CallId;
  readonly script: CallScript;
};
/** They send the caller on hold on to the colleague they have called. */
export type StaffSendsOn = ByStaff & { readonly type: 'staffSendsOn' };
/** A member of a queue takes a waiting call. */
export type StaffPicks = ByStaff & { readonly type: 'staffPicks'; readonly callId: CallId };
/** They dial an extension, a box or a speaker group; the call is theirs when it is one. */
export type StaffDials = ByStaff & {
  readonly type: 'staffDials';
  readonly digits: string;
  readonly callId: CallId;
  readonly script: CallScript;
};
/** Somebody's desk phone is to be rung, to record a greeting with it. */
export type TakeAsked = ByStaff & {
  readonly type: 'takeAsked';
  readonly of: PhoneTake;
  readonly callId: CallId;
  readonly script: CallScript;
};
/** Whoever asked for the recording wants it no more. */
export type TakeGivenUp = ByStaff & { readonly type: 'takeGivenUp'; readonly callId: CallId };
export type PresenceSet = ByStaff & { readonly type: 'presenceSet'; readonly presence: Presence };

/** Everything that can happen on the line. */
export type ExchangeEvent =
  | CallArrives
  | OfCall
  | TimerOver
  | StaffAnswers
  | StaffDeclines
  | StaffPresses
  | StaffHangsUp
  | StaffHolds
  | StaffTransfers
  | StaffConsults
  | StaffSendsOn
  | StaffPicks
  | StaffDials
  | TakeAsked
  | TakeGivenUp
  | PresenceSet;
