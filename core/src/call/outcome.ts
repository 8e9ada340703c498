import type { RungPhone } from './target';
import type { TranscriptEntry } from './transcript';

/** What a call came to, as the call log tells it (docs/traffic.md). */
export const outcomes = [
  'answered',
  'handedOver',
  'message',
  'missed',
  'gaveUpInQueue',
  'gaveUpRinging',
  'gaveUpInMenu',
  'noMessage',
  'informed',
  'letGo',
  'boxHeard',
  'greetingRecorded',
  'blocked',
  'cut',
] as const;
export type Outcome = (typeof outcomes)[number];

type Entries = readonly TranscriptEntry[];

/** What a call came to; null while it goes on. */
export function outcomeOf(transcript: Entries): Outcome | null {
  const end = transcript.findLast((entry) => entry.type === 'ended');
  if (end?.type !== 'ended') return null;
  const { reason } = end;
  const hasMessage = transcript.some((entry) => entry.type === 'message' && entry.kept);
  if (reason === 'blocked' || reason === 'handedOver') return reason;
  if (reason === 'cut') return hasMessage ? 'message' : 'cut';
  if (reason === 'staffHungUp' || transcript.some(({ type }) => type === 'answered')) return 'answered';
  if (hasMessage) return 'message';
  if (transcript.some((entry) => entry.type === 'greetingRecorded' && entry.kept)) return 'greetingRecorded';
  if (reason === 'boxHeard' || reason === 'wrongPin') return 'boxHeard';
  const hungUp = reason === 'callerHungUp';
  return (hungUp ? whereGivenUp(transcript) : null) ?? unreached(transcript, hungUp);
}

/** In a queue, or while it rang: what the caller was in when they hung up. */
function whereGivenUp(transcript: Entries): 'gaveUpInQueue' | 'gaveUpRinging' | null {
  const left = transcript.findLast((entry) => entry.type === 'leftQueue');
  if (left?.type === 'leftQueue' && left.why === 'hungUp') return 'gaveUpInQueue';
  const last = transcript.findLast(({ type }) => movesOn.has(type));
  return last && ringing.has(last.type) ? 'gaveUpRinging' : null;
}

const ringing: ReadonlySet<TranscriptEntry['type']> = new Set([
  'ringing',
  'ringingGroup',
  'rang',
  'askedToAccept',
  'handingOver',
]);
/** What tells that the caller is somewhere else than before. */
const movesOn: ReadonlySet<TranscriptEntry['type']> = new Set([
  ...ringing,
  'notAnswered',
  'leftQueue',
  'sheet',
  'recording',
  'message',
  'said',
  'line',
]);

function unreached(transcript: Entries, hungUp: boolean): Outcome {
  if (transcript.some(({ type }) => type === 'queued' || ringing.has(type))) return 'missed';
  if (hungUp && wasAtBox(transcript)) return 'noMessage';
  if (transcript.some(isAnnounced)) return 'informed';
  return hungUp ? 'gaveUpInMenu' : 'letGo';
}

function wasAtBox(transcript: Entries): boolean {
  const last = transcript.findLast(
    ({ type }) => type === 'said' || type === 'sheet' || type === 'recording' || type === 'message',
  );
  if (!last || last.type === 'sheet') return false;
  return last.type !== 'said' || last.source.type === 'box';
}

/** Words of an announcement: those of a menu are its opening and closing words, and its options. */
function isAnnounced(entry: TranscriptEntry): boolean {
  return entry.type === 'said' && entry.source.type === 'words' && entry.source.part === 'words';
}

/** Who answered last; null when nobody did. */
export function answeredBy(transcript: Entries): RungPhone | null {
  const answer = transcript.findLast((entry) => entry.type === 'answered');
  return answer?.type === 'answered' ? answer.phone : null;
}

/** How long the caller waited in queues in all, in ms. */
export function waitedMs(transcript: Entries): number {
  return transcript.reduce((sum, entry) => sum + (entry.type === 'leftQueue' ? entry.waitedMs : 0), 0);
}
