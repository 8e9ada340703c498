import type { RungPhone } from './target';
import type { TranscriptEntry } from './transcript';
import type { EndReason } from './reasons';

/** What a call came to, as the call log tells it. */
export const outcomes = [
  'answered',
  'message',
  'handedOver',
  'gaveUpWaiting',
  'hungUp',
  'lineEnded',
  'boxHeard',
  'greetingRecorded',
  'blocked',
  'cut',
] as const;
export type Outcome = (typeof outcomes)[number];

/** What a call came to; null while it goes on. */
export function outcomeOf(transcript: readonly TranscriptEntry[]): Outcome | null {
  const end = transcript.findLast((entry) => entry.type === 'ended');
  if (end?.type !== 'ended') return null;
  const hasMessage = transcript.some((entry) => entry.type === 'message' && entry.kept);
  if (end.reason === 'cut') return hasMessage ? 'message' : 'cut';
  if (transcript.some(({ type }) => type === 'answered')) return 'answered';
  if (hasMessage) return 'message';
  if (transcript.some((entry) => entry.type === 'greetingRecorded' && entry.kept)) return 'greetingRecorded';
  const left = transcript.findLast((entry) => entry.type === 'leftQueue');
  if (left?.type === 'leftQueue' && left.why === 'hungUp') return 'gaveUpWaiting';
  return endOutcome[end.reason];
}

const endOutcome: Readonly<Record<EndReason, Outcome>> = {
  callerHungUp: 'hungUp',
  staffHungUp: 'answered',
  hungUp: 'lineEnded',
  messageTaken: 'lineEnded',
  handedOver: 'handedOver',
  blocked: 'blocked',
  pathRanOut: 'lineEnded',
  circle: 'lineEnded',
  longestCall: 'lineEnded',
  boxHeard: 'boxHeard',
  wrongPin: 'boxHeard',
  recorderDone: 'lineEnded',
  cut: 'cut',
};

/** Who answered last; null when nobody did. */
export function answeredBy(transcript: readonly TranscriptEntry[]): RungPhone | null {
  const answer = transcript.findLast((entry) => entry.type === 'answered');
  return answer?.type === 'answered' ? answer.phone : null;
}

/** How long the caller waited in queues in all, in ms. */
export function waitedMs(transcript: readonly TranscriptEntry[]): number {
  return transcript.reduce((sum, entry) => sum + (entry.type === 'leftQueue' ? entry.waitedMs : 0), 0);
}
