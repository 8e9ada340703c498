import type { PersonId } from '../directory';
import type { CallState, EndReason, RungPhone, TransferTo, TranscriptEntry } from '../call';
import type { HoldPiece, Key } from '../line';
import type { Board } from './board';
import type { DeskView } from './deskView';
import type { CallId, Presence } from './state';

/**
 * What handsets, desk phones and the switchboard say to the live line and hear from it, each message as JSON. Voice
 * goes beside it as binary frames of 20 ms: 160 samples of G.711 mu-law at 8 kHz.
 */
export const voiceFrameBytes = 160;

/** One thing to be heard, with its length known: the line keeps the clock, whoever plays it follows. */
export type HeardItem =
  | { readonly type: 'sentence'; readonly audioId: string | null; readonly ms: number; readonly pauseMs: number }
  | { readonly type: 'audio'; readonly audioId: string; readonly ms: number }
  | { readonly type: 'beep'; readonly ms: number }
  /** Hold music goes on where this caller heard it last: so many ms into the piece, which begins again at its end. */
  | { readonly type: 'music'; readonly ms: number; readonly piece: HoldPiece; readonly fromMs: number };

/** How long something is heard in all, in ms. */
export function heardMs(items: readonly HeardItem[]): number {
  return items.reduce((sum, item) => sum + item.ms + (item.type === 'sentence' ? item.pauseMs : 0), 0);
}

export type HandsetSays =
  | { readonly type: 'dial'; readonly number: string; readonly callerNumber: string }
  /** After a page was loaded again: goes on with the call. */
  | { readonly type: 'resume'; readonly callId: CallId; readonly token: string }
  | { readonly type: 'key'; readonly key: Key }
  | { readonly type: 'speak'; readonly words: string }
  | { readonly type: 'hangUp' };

export type HandsetHears =
  /** `unheard` are the places in the transcript of sentences that were cut or are still to come. */
  | {
      readonly type: 'call';
      readonly callId: CallId;
      readonly token: string;
      readonly lineName: string;
      /** In whose tones it rings (ISO 3166-1); null where that is not known. */
      readonly country: string | null;
      readonly unheard: readonly number[];
    }
  /** The number was not one of this business, or the call to be resumed is over. */
  | { readonly type: 'refused'; readonly says: string }
  | { readonly type: 'entries'; readonly entries: readonly TranscriptEntry[] }
  | { readonly type: 'state'; readonly phase: CallState['phase']['type']; readonly talksTo: RungPhone | null }
  /** `first` is where in the transcript the sentences begin; `fromMs` how much of it is over already. */
  | {
      readonly type: 'play';
      readonly playId: number;
      readonly items: readonly HeardItem[];
      readonly first: number;
      readonly fromMs: number;
    }
  | { readonly type: 'stop'; readonly playId: number }
  /** The ringback tone, or what is heard instead of it. */
  | { readonly type: 'ringback'; readonly items: readonly HeardItem[] }
  | { readonly type: 'stopRingback' }
  | { readonly type: 'recording'; readonly on: boolean }
  | { readonly type: 'ended'; readonly reason: EndReason };

export type DeskSays =
  | { readonly type: 'answer' }
  | { readonly type: 'decline' }
  | { readonly type: 'key'; readonly key: Key }
  | { readonly type: 'hangUp' }
  | { readonly type: 'hold'; readonly on: boolean }
  | { readonly type: 'transfer'; readonly to: TransferTo }
  /** Speaks to a colleague before the caller is sent on. */
  | { readonly type: 'consult'; readonly personId: PersonId }
  | { readonly type: 'sendOn' }
  | { readonly type: 'pick'; readonly callId: CallId }
  | { readonly type: 'dial'; readonly digits: string }
  | { readonly type: 'presence'; readonly presence: Presence };

export type DeskHears =
  | { readonly type: 'view'; readonly view: DeskView; readonly nowMs: number }
  | { readonly type: 'noSuchNumber'; readonly digits: string }
  /** To be heard by whoever was asked to accept a call, or hears a box. */
  | { readonly type: 'play'; readonly items: readonly HeardItem[] }
  | { readonly type: 'stop' }
  /** What whoever calls with it hears, as in a country (ISO 3166-1); null for no tone. */
  | { readonly type: 'tone'; readonly tone: 'ringback' | 'busy' | null; readonly country: string | null };

/** What the switchboard does for outside phones, which have no desk. */
export type BoardSays = {
  readonly type: 'outside';
  readonly callId: CallId;
  readonly act: 'answer' | 'busy' | 'noSuchNumber' | 'failed' | 'accept' | 'hangUp';
};

export type BoardShows = {
  readonly type: 'board';
  readonly board: Board;
  /** By the line's clock. */
  readonly nowMs: number;
  /** Whether that clock is a pretended one. */
  readonly isPretended: boolean;
};

export type BoardHears =
  | BoardShows
  /** To be heard by whoever has answered an outside phone. */
  | { readonly type: 'play'; readonly items: readonly HeardItem[] }
  | { readonly type: 'stop' };
