import type { BoxId, PersonId } from '../directory';
import type { Sentence } from '../speech';
import type { TranscriptEntry } from './transcript';

/** One thing to be heard. */
export type PlayItem =
  | { readonly type: 'sentence'; readonly sentence: Sentence }
  /** The tone after which a message is spoken. */
  | { readonly type: 'beep' };

/** Play these one after the other; report `playEnded` when all were heard. */
export type Play = { readonly type: 'play'; readonly playId: string; readonly items: readonly PlayItem[] };
export type StopPlaying = { readonly type: 'stopPlaying'; readonly playId: string };
/** Report `timePassed` after this long, unless stopped before. */
export type StartTimer = { readonly type: 'startTimer'; readonly timerId: string; readonly afterMs: number };
export type StopTimer = { readonly type: 'stopTimer'; readonly timerId: string };
/** Ring a person's phone, and let the caller hear ringback. */
export type Ring = {
  readonly type: 'ring';
  readonly ringId: string;
  readonly personId: PersonId;
  readonly seconds: number;
};
export type StopRinging = { readonly type: 'stopRinging'; readonly ringId: string };
export type Connect = { readonly type: 'connect'; readonly personId: PersonId };
export type StartRecording = { readonly type: 'startRecording'; readonly recordingId: string };
/** Stop; when `keepIn` is a box the recording is a message for it, otherwise it is thrown away. */
export type StopRecording = {
  readonly type: 'stopRecording';
  readonly recordingId: string;
  readonly keepIn: BoxId | null;
};
/** A line of the transcript. */
export type Note = { readonly type: 'note'; readonly entry: TranscriptEntry };
/** The call is over; nothing follows. */
export type HangUp = { readonly type: 'hangUp' };

/** Everything the machine asks of whoever drives it. */
export type CallEffect =
  | Play
  | StopPlaying
  | StartTimer
  | StopTimer
  | Ring
  | StopRinging
  | Connect
  | StartRecording
  | StopRecording
  | Note
  | HangUp;
