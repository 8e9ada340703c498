import type { TranscriptEntry } from '../call';
import { chosenIn, type SheetThen } from './chosen';

/** The most that is kept of what was said in one call. */
const longest = 400;

/**
 * The short text by which a call is found: the caller's number, what they dialled and said, the sheets they came to and what they
 * chose there, as it was called then, and the outside numbers that were called for them. People, groups and boxes are not in it:
 * they are found by what they are called now.
 */
export function callWords(
  call: {
    readonly callerNumber: string;
    readonly versionId: string | null;
    readonly transcript: readonly TranscriptEntry[];
  },
  sheetOf: SheetThen,
): string {
  const parts = new Set([call.callerNumber, ...chosenIn(call, sheetOf)]);
  for (const entry of call.transcript) {
    if (entry.type === 'sheet') parts.add(sheetOf(call.versionId, entry.sheetId)?.name ?? '');
    if (entry.type === 'spoke') parts.add(entry.words);
    if (entry.type === 'dialledExtension' || entry.type === 'spelled') parts.add(entry.digits);
    if (entry.type === 'ringing' && entry.phone.number) parts.add(entry.phone.number);
  }
  return [...parts]
    .filter((part) => part !== '')
    .join('\n')
    .slice(0, longest);
}

/** What is searched for, as the text has it: numbers without their spaces, dashes and brackets. */
export function searchedWords(typed: string): string {
  const trimmed = typed.trim();
  return /^[+\d][\d\s().\u2011-]*$/.test(trimmed) ? trimmed.replace(/[^+\d]/g, '') : trimmed;
}
