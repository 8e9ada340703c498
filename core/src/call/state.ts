import type { BoxId, PersonId } from '../directory';
import type { SheetId, Slot } from '../line';
import type { EndReason } from './transcript';

/** Where in a path a call is. */
export interface Place {
  readonly slot: Slot;
  /** Index of the step that is taken, or to be taken next. */
  readonly stepIndex: number;
}

/** How often the caller has failed at the menu they are in. */
export interface Tries {
  /** One more at each round without a key; back to 0 at each sheet. */
  readonly silentRounds: number;
  /** One more at each wrong key; back to 0 at each sheet. */
  readonly wrongKeys: number;
}

/** What comes once the words being said were heard. */
export type Next =
  | { readonly type: 'path'; readonly place: Place }
  | { readonly type: 'menu'; readonly sheetId: SheetId; readonly tries: Tries }
  | { readonly type: 'end'; readonly reason: EndReason };

/** Nobody has dialled yet. */
export type Idle = { readonly type: 'idle' };
/** Words during which keys do nothing. */
export type Saying = { readonly type: 'saying'; readonly playId: string; readonly next: Next };
/** A menu is being said. */
export type MenuSpeaking = {
  readonly type: 'menuSpeaking';
  readonly sheetId: SheetId;
  readonly playId: string;
  readonly tries: Tries;
};
/** A menu was said and a key is waited for. */
export type MenuWaiting = {
  readonly type: 'menuWaiting';
  readonly sheetId: SheetId;
  readonly timerId: string;
  readonly tries: Tries;
};
/** A person is being rung. */
export type Ringing = {
  readonly type: 'ringing';
  readonly personId: PersonId;
  readonly ringId: string;
  readonly timerId: string;
  readonly place: Place;
};
export type Connected = { readonly type: 'connected'; readonly personId: PersonId };
/** A box's greeting and beep are being heard. */
export type BoxGreeting = { readonly type: 'boxGreeting'; readonly playId: string; readonly boxId: BoxId };
/** The caller speaks a message. */
export type Recording = {
  readonly type: 'recording';
  readonly boxId: BoxId;
  readonly recordingId: string;
  readonly timerId: string;
  readonly sinceMs: number;
};
export type Ended = { readonly type: 'ended'; readonly reason: EndReason };

export type Phase = Idle | Saying | MenuSpeaking | MenuWaiting | Ringing | Connected | BoxGreeting | Recording | Ended;

/** A call. It holds no clock and no chance, and is plain JSON. */
export interface CallState {
  readonly phase: Phase;
  /** How many ids of plays, rings, timers and recordings were given out; only ever grows. */
  readonly idsGiven: number;
  /** One more at each sheet entered; back to 0 when the caller presses a key. */
  readonly sheetsWithoutKey: number;
  /** The timer that ends a call that lasts for ever; empty until it is dialled. */
  readonly callTimerId: string;
}

export const idleCall: CallState = {
  phase: { type: 'idle' },
  idsGiven: 0,
  sheetsWithoutKey: 0,
  callTimerId: '',
};
