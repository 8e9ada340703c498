import type { Key } from '../line';

interface Timed {
  /** When it happened, in ms since 1970 on the call's clock, which may be a pretended one. */
  readonly atMs: number;
}

/** A caller has rung the line and it answers. Always the first event, and only that. */
export type Dialled = Timed & { readonly type: 'dialled'; readonly callerNumber: string };
export type KeyPressed = Timed & { readonly type: 'keyPressed'; readonly key: Key };
/** The caller said something that was understood as these words. */
export type CallerSpoke = Timed & { readonly type: 'callerSpoke'; readonly words: string };
/** Everything of a `play` effect was heard. */
export type PlayEnded = Timed & { readonly type: 'playEnded'; readonly playId: number };
/** A timer ran out. */
export type TimePassed = Timed & { readonly type: 'timePassed'; readonly timerId: number };
export type StaffAnswered = Timed & { readonly type: 'staffAnswered'; readonly ringId: number };
/** The rung phone is in use, or they declined. */
export type StaffBusy = Timed & { readonly type: 'staffBusy'; readonly ringId: number };
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
  | StaffPressed
  | StaffHungUp
  | CallerHungUp;
