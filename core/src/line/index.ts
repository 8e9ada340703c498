export {
  greetingId,
  lineId,
  namedPathId,
  sheetId,
  type GreetingId,
  type LineId,
  type NamedPathId,
  type SheetId,
} from './ids';
export { isOperatorId, longestAddress, type Line, type OperatorId } from './line';
export {
  pathGraph,
  placedPaths,
  placedSteps,
  reachedFrom,
  reachedIn,
  sheetsReachedFrom,
  stepsThatRun,
  type PathGraph,
  type PlacedPath,
  type PlacedStep,
} from './reach';
export { slotOfAnswer, usableSwitch } from './slotOfAnswer';
export { isKey, keys, spokenKey, type Key } from './key';
export {
  defaultVoice,
  isVoiceId,
  languageOf,
  languages,
  tunedVoice,
  tuningLimits,
  tuningOf,
  usualTuning,
  ownVoice,
  ownVoiceIn,
  shippedVoiceOf,
  shippedVoices,
  voiceLabel,
  voiceNameOf,
  voicePattern,
  type Language,
  type OwnVoice,
  type ShippedVoice,
  type Tuning,
  type VoiceId,
  type VoiceName,
} from './voice';
export { longestWords, type Greeting } from './greeting';
export {
  alwaysEnds,
  defaultRingSeconds,
  longestRingSeconds,
  longestTypedNumber,
  messageDefaults,
  mostSteps,
  ownVoicemailSeconds,
  ringDefaults,
  secondsPerRing,
  shortestRingSeconds,
  type Hearing,
  type Outside,
  type Path,
  type RecordStep,
  type RingGroupStep,
  type RingOperatorStep,
  type RingOutsideStep,
  type RingStep,
  type SayStep,
  type Spoken,
  type Step,
  type StepType,
  type TakeMessageStep,
} from './step';
export {
  longestLabel,
  longestSheetName,
  menuLimits,
  newAnnouncement,
  newMenu,
  withoutTakes,
  type Announcement,
  type ExtensionDialling,
  type Menu,
  type Option,
  type Sheet,
} from './sheet';
export {
  findNamedPath,
  findSheet,
  canGoOn,
  pathEnds,
  schemaVersion,
  type AnsweringRule,
  type Attendant,
  type Fallback,
  type NamedPath,
} from './attendant';
export {
  isFallbackAt,
  isRuleAt,
  pathAt,
  pathsOf,
  sheetOfSlot,
  slotKey,
  slotOfRule,
  slotsOf,
  slotsOfSheet,
  slotOfFallback,
  type FallbackSlot,
  type RuleSlot,
  type Slot,
} from './slot';
export {
  allUses,
  greetingsUsed,
  replacedInWords,
  takesUsed,
  refersTo,
  usesOf,
  type ReferredId,
  type Use,
} from './references';
export { readAttendant, type DocumentProblem } from './readAttendant';
export { attendantJsonSchema, tellSchema } from './attendantSchema';
export { applyEdit } from './edits/applyEdit';
export type { Edit, MenuSettings, WordsPart } from './edits/edit';
export { copyOfSheet } from './copyOfSheet';
export { folded, searchAttendant, type Hit } from './search';
export { doEdit, rebaseHistory, redo, startHistory, undo, type Change, type History } from './history';
export { starterIds, starters, type StarterId } from './starters';
export type { Starter, StarterFacts } from './starters/starter';
export {
  describeDocumentProblem,
  describeEdit,
  describeOutside,
  describeSlot,
  describeUse,
  describeStep,
  queueReasonWords,
  type Names,
} from './words/en';
export { differences, type Difference } from './differences';
export { heardHours, saidHours } from './heardHours';
export { mergeAttendants } from './mergeAttendants';
export { newStep, type Around } from './newStep';
export { isUnchosen, unchosen } from './unchosen';
export { describeAttendantClashes } from './words/clash.en';
export { differencesInWords, type ToldDifference } from './words/differences.en';
export { pathSentence, sheetLines, type SheetLine } from './words/sheetLines.en';
export {
  holdMusicIds,
  holdMusicPieces,
  holdMusicPlace,
  holdPieceOf,
  isHoldMusic,
  keyOfPiece,
  usualHoldMusic,
  type HoldMusic,
  type HoldMusicId,
  type HoldPiece,
} from './holdMusic';
export {
  hasLiveParts,
  idsInWords,
  pauseLimitsMs,
  readPieces,
  writePiece,
  type LivePart,
  type WordsPiece,
} from './pieces';
export {
  takeId,
  heardText,
  unknownReasons,
  type HeardPart,
  type RecordedTake,
  type SheetTakes,
  type TakeId,
  type TakePart,
  type TakeSays,
  type TakeUse,
  type TakeVerdict,
} from './take';
export type { Unpressed } from './unpressed';
export {
  spokenTexts,
  textsOfSheet,
  typedIn,
  withWords,
  type SpokenAround,
  type SpokenPlace,
  type SpokenText,
} from './spokenTexts';
export { menuWords } from './menuWords';
export { placeOfText, textKey, textPlacePattern, type TextRecording } from './textRecording';
