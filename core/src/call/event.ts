import type { Key } from '../line';

interface Timed {
  /** When it happened, in ms since 1970 on the call's clock, which may be a pretended one. */
  readonly atMs: number;
}

/** A caller has rung the line and it answers. Always the first event, and only that. */
export type Dialled = Timed & { readonly type: 'dialled'; readonly callerNumber: string };
export type KeyPressed = Timed & { readonly type: 'keyPressed'; readonly key: Key };
/** Everything of a `play` effect was heard. */
export type PlayEnded = Timed & { readonly type: 'playEnded'; readonly playId: string };
/** A timer ran out. */
export type TimePassed = Timed & { readonly type: 'timePassed'; readonly timerId: string };
export type StaffAnswered = Timed & { readonly type: 'staffAnswered'; readonly ringId: string };
/** The rung person's phone is in use, or they declined. */
export type StaffBusy = Timed & { readonly type: 'staffBusy'; readonly ringId: string };
/** The person the caller talks to put the phone down. */
export type StaffHungUp = Timed & { readonly type: 'staffHungUp' };
export type CallerHungUp = Timed & { readonly type: 'callerHungUp' };

/** Everything that can happen to a call. */
export type CallEvent =
  Dialled | KeyPressed | PlayEnded | TimePassed | StaffAnswered | StaffBusy | StaffHungUp | CallerHungUp;
