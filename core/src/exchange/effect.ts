import type { CallEffect, PlayItem } from '../call';
import type { PersonId } from '../directory';
import type { CallId } from './state';

/** Something to be done for one call. What concerns staff is seen in the exchange's state. */
export type ForCall = { readonly type: 'forCall'; readonly callId: CallId; readonly effect: CallEffect };
/** Report `timerOver` after this long, unless stopped before. */
export type StartTimer = { readonly type: 'startTimer'; readonly timerId: number; readonly afterMs: number };
export type StopTimer = { readonly type: 'stopTimer'; readonly timerId: number };
/** Say these to somebody who answered an outside phone, over and over until they press 1 or hang up. */
export type AskMember = {
  readonly type: 'askMember';
  readonly personId: PersonId;
  readonly items: readonly PlayItem[];
};
/** What was dialled on a desk phone means nothing. */
export type NoSuchNumber = { readonly type: 'noSuchNumber'; readonly personId: PersonId; readonly digits: string };

/** Somebody's desk phone was in use, or they did not answer it, when a greeting was to be recorded. */
export type TakeUnanswered = {
  readonly type: 'takeUnanswered';
  readonly callId: CallId;
  readonly why: 'inUse' | 'noAnswer';
};

export type ExchangeEffect = ForCall | StartTimer | StopTimer | AskMember | NoSuchNumber | TakeUnanswered;
