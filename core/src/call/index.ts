export type { CallScript } from './script';
export type { CallEvent } from './event';
export type { CallEffect, Play, PlayItem } from './effect';
export { idleCall, type CallState, type Phase } from './state';
export type { EndReason, TranscriptEntry } from './transcript';
export { step, type StepResult } from './step';
export { callLimits } from './defaults';
export { runTrial, type CallerAct, type StaffAct, type Trial, type TrialResult } from './trial';
