export { wordsFirst } from './wordsFirst';
export { closedReasonOf } from './closed';
export { clipIn, recordingsOf } from './textRecordings';
export { spokenFacts, withoutSwitch, type CallScript, type LineScript } from './script';
export type {
  CallEvent,
  DirectTo,
  FinishedTake,
  MessageToHear,
  PhoneTake,
  PinAnswer,
  TransferTo,
  Unreached,
} from './event';
export { afterWrongPin, noTries, pauseLeft, triesForgottenAfterMs, type PinTries } from './pinTries';
export type {
  AskToAccept,
  CallEffect,
  HandOver,
  Play,
  PlayItem,
  Ring,
  RingGroup,
  EnterQueue,
  StopRecording,
  StepTaken,
} from './effect';
export { idleCall, type Ask, type CallState, type Next, type Phase, type Place } from './state';
export type { OutsideTarget, RungPhone, Target } from './target';
export type { TranscriptEntry } from './transcript';
export { transcriptOf } from './transcriptOf';
export { endsQuietly, type EndReason, type NotAnswered } from './reasons';
export { step, type StepResult } from './step';
export { outsideTargetOf } from './outside';
export { callLimits } from './limits';
export { itemMs } from './items';
export { acceptItems } from './words';
export { readyOf, type Ready } from './ready';
export { cameBy, type CameBy } from './cameBy';
export { answeredBy, outcomeOf, outcomes, waitedMs, type Outcome } from './outcome';
