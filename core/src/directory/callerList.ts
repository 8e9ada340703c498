import type { Country } from './country';
import { right, wrong, type Result } from '../result';
import type { CallerListId } from './ids';
import { readPhoneNumber } from './phoneNumber';

/** `blocked` ends the call; `favoured` is asked before the hours; `other` stands wherever the answering order has it. */
export const callerListKinds = ['blocked', 'favoured', 'other'] as const;
export type CallerListKind = (typeof callerListKinds)[number];

/** Callers who are treated in a way of their own. */
export interface CallerList {
  readonly id: CallerListId;
  /** 1 to 80 characters. */
  readonly name: string;
  readonly kind: CallerListKind;
  /** Whole numbers (E.164), or the beginning of numbers with a star: `+12075550178`, `+1207*`. */
  readonly patterns: readonly string[];
  /** Whether callers who hide their number are in the list. */
  readonly anonymous: boolean;
}

export const mostPatterns = 5000;

/** What a caller is called who hides their number. */
export const anonymousCaller = 'anonymous';

export type PatternProblem = { readonly type: 'notAPattern'; readonly text: string };

/**
 * Reads a number or the beginning of numbers as people write it: `+1 207 555 0178`, `+1 207 *`. A whole number without
 * its country is of the one given.
 */
export function readCallerPattern(text: string, country?: Country): Result<string, PatternProblem> {
  const trimmed = text.trim();
  if (!trimmed.endsWith('*')) {
    const number = readPhoneNumber(trimmed, country);
    return number.ok ? right(number.value) : wrong({ type: 'notAPattern', text });
  }
  const digits = trimmed.slice(0, -1).replace(/[\s().-]/g, '');
  return /^\+[1-9]\d{0,13}$/.test(digits) ? right(`${digits}*`) : wrong({ type: 'notAPattern', text });
}

/** Whether a caller is in a list. */
export function isInList({ patterns, anonymous }: CallerList, callerNumber: string): boolean {
  if (callerNumber === anonymousCaller) return anonymous;
  return patterns.some((pattern) =>
    pattern.endsWith('*') ? callerNumber.startsWith(pattern.slice(0, -1)) : callerNumber === pattern,
  );
}
