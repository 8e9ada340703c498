import type { BoxId, GroupId, QueueId, Tell } from '../directory';
import type { HoldPiece, Slot, Step, TakeId } from '../line';
import type { Sentence } from '../speech';
import type { OutsideTarget, RungPhone } from './target';
import type { TranscriptEntry } from './transcript';

/** One thing to be heard. */
export type PlayItem =
  | { readonly type: 'sentence'; readonly sentence: Sentence }
  /** The tone after which a message is spoken. */
  | { readonly type: 'beep' }
  /** Hold music for so long. */
  | { readonly type: 'music'; readonly ms: number; readonly piece: HoldPiece }
  /** A kept sound, such as a message, and its length. */
  | { readonly type: 'audio'; readonly audioId: string; readonly ms: number };

/** Play these one after the other; report `playEnded` when all were heard. */
export type Play = { readonly type: 'play'; readonly playId: number; readonly items: readonly PlayItem[] };
export type StopPlaying = { readonly type: 'stopPlaying'; readonly playId: number };
/** Report `timePassed` after this long, unless stopped before. */
export type StartTimer = { readonly type: 'startTimer'; readonly timerId: number; readonly afterMs: number };
export type StopTimer = { readonly type: 'stopTimer'; readonly timerId: number };
/** Ring a phone; the caller hears the items over and over meanwhile, or the ringback tone when there are none. */
export type Ring = {
  readonly type: 'ring';
  readonly ringId: number;
  readonly phone: RungPhone;
  /** How long it rings at most, in ms; null with no limit. */
  readonly forMs: number | null;
  readonly hear: readonly PlayItem[];
};
/** Ring a group's members in its order; who and when is for the exchange to say. Stopped like any ringing. */
export type RingGroup = {
  readonly type: 'ringGroup';
  readonly ringId: number;
  readonly groupId: GroupId;
  /** In all; null for as long as the group says. */
  readonly seconds: number | null;
  readonly hear: readonly PlayItem[];
};
/** Ask for a place in a queue; answered with `queued` or `queueRefused`. */
export type EnterQueue = { readonly type: 'enterQueue'; readonly waitId: number; readonly queueId: QueueId };
/** The caller waits no longer. */
export type LeaveQueue = { readonly type: 'leaveQueue'; readonly waitId: number };
/** Ask how far the caller is; answered with `placeIs`. */
export type AskPlace = { readonly type: 'askPlace'; readonly waitId: number };
/** Ask whether a PIN opens a box; answered with `pinChecked`. */
export type CheckPin = { readonly type: 'checkPin'; readonly boxId: BoxId; readonly pin: string };
/** A message was heard, or is not wanted any more. */
export type MarkMessage = {
  readonly type: 'markMessage';
  readonly messageId: string;
  readonly as: 'heard' | 'deleted';
};
export type StopRinging = { readonly type: 'stopRinging'; readonly ringId: number };
/** Say these to the one who answered; the caller goes on hearing it ring. Report their key with `staffPressed`. */
export type AskToAccept = {
  readonly type: 'askToAccept';
  readonly ringId: number;
  readonly items: readonly PlayItem[];
};
export type Connect = { readonly type: 'connect'; readonly phone: RungPhone };
/**
 * Hand the call over for good: the caller hears it ring until `handedOver` is reported and the call has left the line, or
 * `handOverFailed`.
 */
export type HandOver = {
  readonly type: 'handOver';
  readonly handOverId: number;
  readonly target: OutsideTarget;
};
/** The caller is handed over no more: they have gone, or nobody has taken the call in time. */
export type StopHandOver = { readonly type: 'stopHandOver'; readonly handOverId: number };
export type StartRecording = { readonly type: 'startRecording'; readonly recordingId: number };
/** Stop; when `keepIn` is a box the recording is a message for it, otherwise it is thrown away. */
export type StopRecording = {
  readonly type: 'stopRecording';
  readonly recordingId: number;
  readonly keepIn: BoxId | null;
  /** Who is told of the message. */
  readonly tell: readonly Tell[];
};
/** Record what somebody of the staff speaks into the phone on their desk. */
export type StartTake = { readonly type: 'startTake'; readonly recordingId: number };
/** Stop, and make it good; answered with `takeFinished`. */
export type FinishTake = { readonly type: 'finishTake'; readonly recordingId: number };
/** Stop, and throw it away. */
export type StopTake = { readonly type: 'stopTake'; readonly recordingId: number };
/** They said what becomes of a finished one. */
export type SettleTake = { readonly type: 'settleTake'; readonly takeId: TakeId; readonly keep: boolean };
/** Record both sides of the call from here on. */
export type StartCallRecording = { readonly type: 'startCallRecording'; readonly recordingId: number };
export type StopCallRecording = { readonly type: 'stopCallRecording'; readonly recordingId: number };
/** A step of a path is taken; only where the script asks to be told (`tellsSteps`). There is nothing to carry out. */
export type StepTaken = {
  readonly type: 'stepTaken';
  readonly slot: Slot;
  readonly stepIndex: number;
  readonly step: Step;
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
  | RingGroup
  | EnterQueue
  | LeaveQueue
  | AskPlace
  | CheckPin
  | MarkMessage
  | StopRinging
  | AskToAccept
  | Connect
  | HandOver
  | StopHandOver
  | StartRecording
  | StopRecording
  | StartTake
  | FinishTake
  | StopTake
  | SettleTake
  | StartCallRecording
  | StopCallRecording
  | StepTaken
  | Note
  | HangUp;
