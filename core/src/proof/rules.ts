import { circle } from './rules/circle';
import { keyIsFirstDigit } from './rules/keyIsFirstDigit';
import { longWait, noWayOut } from './rules/longWait';
import { nobodyThere } from './rules/nobodyThere';
import { noFallback } from './rules/noFallback';
import { noWords } from './rules/noWords';
import { notANumber, outOfService, ownNumber } from './rules/outsideNumber';
import { ownVoicemail } from './rules/ownVoicemail';
import { pathEmpty } from './rules/pathEmpty';
import { pathInItself } from './rules/pathInItself';
import { pathStops } from './rules/pathStops';
import { recordsUntold } from './rules/recordsUntold';
import { ringsForEver } from './rules/ringsForEver';
import { toDeleted } from './rules/toDeleted';

/** Every rule, in the order its findings are listed: what loses a caller first. */
export const rules = [
  pathEmpty,
  pathStops,
  toDeleted,
  nobodyThere,
  noFallback,
  noWords,
  circle,
  pathInItself,
  notANumber,
  ownNumber,
  outOfService,
  ringsForEver,
  ownVoicemail,
  keyIsFirstDigit,
  longWait,
  noWayOut,
  recordsUntold,
] as const;

export type RuleName = (typeof rules)[number]['name'];
