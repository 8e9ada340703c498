export { wordsFirst } from './wordsFirst';
export { spokenFacts, type CallScript, type LineScript } from './script';
export type { CallEvent, DirectTo, FinishedTake, MessageToHear, PhoneTake, TransferTo } from './event';
export type {
  AskToAccept,
  CallEffect,
  Play,
  PlayItem,
  Ring,
  RingGroup,
  EnterQueue,
  RungPhone,
  StopRecording,
} from './effect';
export { idleCall, type CallState, type OutsideTarget, type Phase, type Target } from './state';
export { transcriptOf, type EndReason, type NotAnswered, type TranscriptEntry } from './transcript';
export { step, type StepResult } from './step';
export { outsideTargetOf } from './outside';
export { callLimits } from './limits';
export { itemMs } from './items';
export { acceptItems } from './words';
export { readyOf, type Ready } from './ready';
export { cameBy, type CameBy } from './cameBy';
export { answeredBy, outcomeOf, outcomes, waitedMs, type Outcome } from './outcome';
