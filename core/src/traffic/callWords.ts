import type { TranscriptEntry } from '../call';

/** The most that is kept of what was said in one call. */
const longest = 400;

/**
 * The short text by which a call is found: the caller's number, what they dialled and said, and the outside numbers that were
 * called for them. Names are not in it: they are known by what they stand for, and may change.
 */
export function callWords(callerNumber: string, transcript: readonly TranscriptEntry[]): string {
  const parts = new Set([callerNumber]);
  for (const entry of transcript) {
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
