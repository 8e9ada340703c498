export type { CallScript, LineScript } from './script';
export type { CallEvent } from './event';
export type { AskToAccept, CallEffect, Play, PlayItem, Ring, RungPhone, StopRecording } from './effect';
export { idleCall, type CallState, type OutsideTarget, type Phase, type Target } from './state';
export { transcriptOf, type EndReason, type NotAnswered, type TranscriptEntry } from './transcript';
export { step, type StepResult } from './step';
export { callLimits } from './limits';
export { runTrial, type CallerAct, type StaffAct, type Trial, type TrialResult } from './trial';
