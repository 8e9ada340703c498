export { greetingId, lineId, sheetId, type GreetingId, type LineId, type SheetId } from './ids';
export type { Line } from './line';
export { isKey, keys, spokenKey, type Key } from './key';
export { defaultVoice, voiceIds, voices, type VoiceId } from './voice';
export { longestWords, type Greeting } from './greeting';
export {
  alwaysEnds,
  defaultRingSeconds,
  longestRingSeconds,
  mostSteps,
  secondsPerRing,
  shortestRingSeconds,
  type Path,
  type RingStep,
  type SayStep,
  type Spoken,
  type Step,
  type StepType,
} from './step';
export {
  longestLabel,
  longestSheetName,
  menuLimits,
  newAnnouncement,
  newMenu,
  type Announcement,
  type Menu,
  type Option,
  type Sheet,
} from './sheet';
export { findSheet, schemaVersion, type AnsweringRule, type Attendant } from './attendant';
export { pathAt, sheetOfSlot, slotsOf, type Slot } from './slot';
export { greetingsUsed, refersTo, usesOf, type ReferredId, type Use } from './references';
export { readAttendant, type DocumentProblem } from './readAttendant';
export { attendantJsonSchema } from './attendantSchema';
export { applyEdit } from './edits/applyEdit';
export type { Edit, MenuSettings, WordsPart } from './edits/edit';
export { doEdit, redo, startHistory, undo, type Change, type History } from './history';
export { starterAttendant, type StarterFacts } from './starter';
export { describeDocumentProblem, describeEdit, describeSlot, describeStep, type Names } from './words/en';
export { differences, isSame, type Difference } from './differences';
