import type { TranscriptEntry } from '../call';
import type { TracedEntry } from './rehearsal';

/** What of a call matters to how it goes: neither what is said nor what follows from the rest. */
const kept: ReadonlySet<TranscriptEntry['type']> = new Set([
  'blocked',
  'line',
  'sheet',
  'key',
  'spoke',
  'dialledExtension',
  'spelled',
  'silence',
  'ringing',
  'ringingGroup',
  'answered',
  'notAnswered',
  'queued',
  'leftQueue',
  'handedOver',
  'recording',
  'callRecording',
  'ended',
]);

/** How a call went, with the ms since it was answered. */
export function traceOf(transcript: readonly TranscriptEntry[]): readonly TracedEntry[] {
  const began = transcript[0]?.atMs ?? 0;
  return transcript
    .filter(({ type }) => kept.has(type))
    .map((entry) => ({ ...entry, atMs: Math.round(entry.atMs - began) }));
}

/** The first place at which two calls went different ways; null where they went the same. */
export function partingOf(was: readonly TracedEntry[], is: readonly TracedEntry[]): number | null {
  const longest = Math.max(was.length, is.length);
  for (let index = 0; index < longest; index += 1) {
    if (!isSameEntry(was[index], is[index])) return index;
  }
  return null;
}

/** Whether the same happened, sooner or later. */
function isSameEntry(one: TracedEntry | undefined, other: TracedEntry | undefined): boolean {
  return JSON.stringify(one, withoutTimes) === JSON.stringify(other, withoutTimes);
}

function withoutTimes(name: string, value: unknown): unknown {
  return name === 'atMs' || name === 'waitedMs' || name === 'forMs' ? undefined : value;
}
