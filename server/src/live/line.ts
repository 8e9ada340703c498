import type { EndReason } from '@locutor/core/call';
import type { CallId, HeardItem, LegActs, WantedLeg } from '@locutor/core/exchange';
import type { Key } from '@locutor/core/line';

/**
 * A telephone line: it brings callers in, and rings the phones that are wanted. The stand-in that ships (`standIn/`) is the
 * first; what each of these would be in SIP and RTP is in docs/line.md. Voice goes both ways as frames of 20 ms, 160
 * samples of G.711 mu-law at 8 kHz.
 */
export interface Line {
  /** Begins to bring callers in. */
  start(doors: LineDoors): void;
  /** Brings nobody in any more. Calls that are on were hung up before. */
  stop(): void;
  /** Rings a phone, or lets one be heard at once that `hears` or takes a call it asked for itself. */
  open(leg: WantedLeg, doors: LegDoors): Leg;
}

/** Injects the line there is. */
export const theLine = 'theLine';

export interface LineDoors {
  /** Somebody rings a number. Whether it is answered, `end` is told. */
  arrives(call: IncomingCall, end: CallerEnd): CallerDoors;
}

export interface IncomingCall {
  /** As it was dialled. */
  readonly calledNumber: string;
  /** As it was given; whatever is no number is anonymous. */
  readonly callerNumber: string;
}

/** What the line tells of a caller. */
export interface CallerDoors {
  pressed(key: Key): void;
  /** 20 ms of what they say. */
  voice(frame: Uint8Array): void;
  hungUp(): void;
}

/** Why a call is not answered. */
export type Refusal = 'noSuchNumber' | 'notOnAir' | 'failed';

/** What is known of a call once it is answered. */
export interface AnsweredCall {
  readonly callId: CallId;
  /** What the caller's phone may show. */
  readonly lineName: string;
  /** In whose tones it rings (ISO 3166-1); null where that is not known. */
  readonly country: string | null;
}

/** The caller's end of a call. What is played is timed by whoever asks for it; the line need not report its end. */
export interface CallerEnd {
  /** The call is answered. */
  accept(call: AnsweredCall): void;
  /** It is not; `says` tells why. */
  refuse(why: Refusal, says: string): void;
  play(playId: number, items: readonly HeardItem[]): void;
  stop(playId: number): void;
  /** The ringback tone, or what is heard instead of it, over and over. */
  ringback(items: readonly HeardItem[]): void;
  stopRingback(): void;
  voice(frame: Uint8Array): void;
  /** Refers the caller to another number for good. `Leg.hangUp` gives it up while it was not taken. */
  handOver(to: WantedLeg, doors: LegDoors): Leg;
  hangUp(reason: EndReason): void;
}

/** What the line tells of a phone it rings. */
export interface LegDoors {
  happens(act: LegActs): void;
  /** 20 ms of what is said into it. */
  voice(frame: Uint8Array): void;
}

/** A phone that rings or is talked on. */
export interface Leg {
  play(items: readonly HeardItem[]): void;
  stop(): void;
  voice(frame: Uint8Array): void;
  hangUp(): void;
}
