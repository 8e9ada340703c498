import { noFallback } from './rules/noFallback';
import { noWords } from './rules/noWords';
import { pathEmpty } from './rules/pathEmpty';
import { pathStops } from './rules/pathStops';
import { toDeleted } from './rules/toDeleted';

/** Every rule, in the order its findings are listed: what loses a caller first. */
export const rules = [pathEmpty, pathStops, toDeleted, noFallback, noWords] as const;

export type RuleName = (typeof rules)[number]['name'];
