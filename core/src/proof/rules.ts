import { stayNotKept } from './rules/stayNotKept';
import { messageNotKept } from './rules/messageNotKept';
import { callBackNotKept } from './rules/callBackNotKept';
import { cutOffAlone } from './rules/cutOffAlone';
import { longAlone } from './rules/longAlone';
import { openInWords } from './rules/openInWords';
import { leftInWords } from './rules/leftInWords';
import { numberInWords } from './rules/numberInWords';
import { sameOptions } from './rules/sameOptions';
import { noEmergencyWords } from './rules/noEmergencyWords';
import { emergencyNumber } from './rules/emergencyNumber';
import { listNowhere } from './rules/listNowhere';
import { listEmpty } from './rules/listEmpty';
import { blocksAll } from './rules/blocksAll';
import { closedUnheard } from './rules/closedUnheard';
import { mostlyAway } from './rules/mostlyAway';
import { holidayInWords } from './rules/holidayInWords';
import { loudnessSteps } from './rules/loudnessSteps';
import { voiceChanges } from './rules/voiceChanges';
import { roundRinging } from './rules/roundRinging';
import { switchNowhere } from './rules/switchNowhere';
import { serviceEnds } from './rules/serviceEnds';
import { boxUnheard } from './rules/boxUnheard';
import { businessInWords } from './rules/businessInWords';
import { circle } from './rules/circle';
import { closedOffice } from './rules/closedOffice';
import { dateInWords } from './rules/dateInWords';
import { deepMenu } from './rules/deepMenu';
import { extensionInWords } from './rules/extensionInWords';
import { hoursAhead } from './rules/hoursAhead';
import { hoursInWords } from './rules/hoursInWords';
import { keyIsFirstDigit } from './rules/keyIsFirstDigit';
import { keySaidNotMapped } from './rules/keySaidNotMapped';
import { keySaidOtherwise } from './rules/keySaidOtherwise';
import { keypadCollision } from './rules/keypadCollision';
import { keypadUnfindable } from './rules/keypadUnfindable';
import { lineAway } from './rules/lineAway';
import { lineCircle } from './rules/lineCircle';
import { lineNoNumber } from './rules/lineNoNumber';
import { lineNoZone } from './rules/lineNoZone';
import { lineNotOnAir } from './rules/lineNotOnAir';
import { lineOutOfService } from './rules/lineOutOfService';
import { longReadOut } from './rules/longReadOut';
import { longWait } from './rules/longWait';
import { manyOptions } from './rules/manyOptions';
import { mappedNotSaid } from './rules/mappedNotSaid';
import { nameInWords } from './rules/nameInWords';
import { noEmergencyAddress } from './rules/noEmergencyAddress';
import { noFallback } from './rules/noFallback';
import { noHolidays } from './rules/noHolidays';
import { noWayBack } from './rules/noWayBack';
import { noWayOut } from './rules/noWayOut';
import { noWayToPerson } from './rules/noWayToPerson';
import { noWords } from './rules/noWords';
import { nobodyOnCall } from './rules/nobodyOnCall';
import { nobodyThere } from './rules/nobodyThere';
import { noOperator } from './rules/noOperator';
import { nobodyWorking } from './rules/nobodyWorking';
import { notANumber } from './rules/notANumber';
import { notChosen } from './rules/notChosen';
import { outOfService } from './rules/outOfService';
import { notAllowed } from './rules/notAllowed';
import { ownNumber } from './rules/ownNumber';
import { ownVoicemail } from './rules/ownVoicemail';
import { pathEmpty } from './rules/pathEmpty';
import { pathInItself } from './rules/pathInItself';
import { pathStops } from './rules/pathStops';
import { priceInWords } from './rules/priceInWords';
import { pricesDiffer } from './rules/pricesDiffer';
import { queuePaused } from './rules/queuePaused';
import { recordingNotKnown } from './rules/recordingNotKnown';
import { voiceGone } from './rules/voiceGone';
import { recordingOutOfStep } from './rules/recordingOutOfStep';
import { recordingSaysOther } from './rules/recordingSaysOther';
import { recordingPoor } from './rules/recordingPoor';
import { recordingSilent } from './rules/recordingSilent';
import { recordsUntold } from './rules/recordsUntold';
import { repeatsForEver } from './rules/repeatsForEver';
import { ringsForEver } from './rules/ringsForEver';
import { ruleUnused } from './rules/ruleUnused';
import { saidInOtherOrder } from './rules/saidInOtherOrder';
import { searchEmpty } from './rules/searchEmpty';
import { specialWordsOld } from './rules/specialWordsOld';
import { specialsOverlap } from './rules/specialsOverlap';
import { tellNowhere } from './rules/tellNowhere';
import { toDeleted } from './rules/toDeleted';
import { unpressedKey } from './rules/unpressedKey';
import { unreached } from './rules/unreached';
import { wrongLanguage } from './rules/wrongLanguage';
import { zeroUnused } from './rules/zeroUnused';

/** Every rule, in the order its findings are listed: what loses a caller first. */
export const rules = [
  pathEmpty,
  pathStops,
  cutOffAlone,
  blocksAll,
  notChosen,
  toDeleted,
  nobodyThere,
  noOperator,
  noFallback,
  noWords,
  recordingSilent,
  circle,
  pathInItself,
  lineCircle,
  lineNoNumber,
  lineNoZone,
  notANumber,
  ownNumber,
  notAllowed,
  lineOutOfService,
  lineAway,
  nobodyWorking,
  noWayToPerson,
  roundRinging,
  listNowhere,
  stayNotKept,
  messageNotKept,
  callBackNotKept,
  emergencyNumber,
  searchEmpty,
  outOfService,
  lineNotOnAir,
  switchNowhere,
  closedUnheard,
  ownVoicemail,
  closedOffice,
  ringsForEver,
  repeatsForEver,
  keyIsFirstDigit,
  mostlyAway,
  longAlone,
  longWait,
  noWayOut,
  recordingOutOfStep,
  recordingSaysOther,
  recordingNotKnown,
  voiceGone,
  recordingPoor,
  keySaidNotMapped,
  keySaidOtherwise,
  sameOptions,
  openInWords,
  leftInWords,
  numberInWords,
  hoursInWords,
  hoursAhead,
  dateInWords,
  specialWordsOld,
  holidayInWords,
  nameInWords,
  extensionInWords,
  businessInWords,
  pricesDiffer,
  wrongLanguage,
  recordsUntold,
  boxUnheard,
  tellNowhere,
  ruleUnused,
  unreached,
  mappedNotSaid,
  saidInOtherOrder,
  zeroUnused,
  noWayBack,
  manyOptions,
  deepMenu,
  longReadOut,
  keypadCollision,
  keypadUnfindable,
  nobodyOnCall,
  queuePaused,
  specialsOverlap,
  noHolidays,
  priceInWords,
  noEmergencyAddress,
  noEmergencyWords,
  serviceEnds,
  listEmpty,
  unpressedKey,
  voiceChanges,
  loudnessSteps,
] as const;

export type RuleName = (typeof rules)[number]['name'];
