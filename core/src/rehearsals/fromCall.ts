import type { TranscriptEntry } from '../call';
import type { PersonId, ContactId } from '../directory';
import { clockReading, type TimeZone } from '../hours';
import type { Expectation, Scene, SceneAct, SceneStaffDoes } from './rehearsal';
import { endOf, reachedBy } from './rehearse';

/** What a call that was made says of when, who calls, what they did and who answered. */
export function sceneOfCall(transcript: readonly TranscriptEntry[], zone: TimeZone): Scene {
  const first = transcript[0];
  const callerNumber = first && 'callerNumber' in first ? first.callerNumber : 'anonymous';
  const reading = clockReading(first?.atMs ?? 0, zone).slice(0, 16);
  return { reading, callerNumber, acts: actsOf(transcript), staff: staffOf(transcript), others: 'noAnswer' };
}

/** What must happen again for a call to go as this one went: whom it reached, and how it ended. */
export function expectationsOfCall(transcript: readonly TranscriptEntry[]): readonly Expectation[] {
  const how = endOf(transcript);
  const reached = transcript
    .filter(({ type }) => type === 'answered' || type === 'recording' || type === 'handedOver')
    .flatMap(reachedBy)
    .find((who) => who !== null);
  return [
    ...(reached ? [{ type: 'reaches' as const, who: reached }] : []),
    ...(how ? [{ type: 'ends' as const, how }] : []),
  ];
}

/** Keys in a row are one act where they were digits of one number. */
function actsOf(transcript: readonly TranscriptEntry[]): readonly SceneAct[] {
  const acts: SceneAct[] = [];
  let digits = '';
  const finish = (): void => {
    if (digits !== '') acts.push({ type: 'press', keys: digits });
    digits = '';
  };
  for (const entry of transcript) {
    if (entry.type === 'said') continue;
    if (entry.type === 'key' && entry.use === 'digit') {
      digits += entry.key;
      continue;
    }
    if (entry.type === 'key' && entry.use !== 'ignored') {
      // A digit that was waited for and was an option after all is told twice.
      if (digits !== entry.key) {
        finish();
        digits = entry.key;
      }
    }
    finish();
    if (entry.type === 'silence') acts.push({ type: 'wait' });
    if (entry.type === 'spoke') acts.push({ type: 'say', words: entry.words });
    if (entry.type === 'ended' && entry.reason === 'callerHungUp' && !isLeaving(transcript)) {
      acts.push({ type: 'hangUp', afterSeconds: 5 });
    }
  }
  finish();
  return acts;
}

/** Hanging up after a message or a talk needs no act of its own. */
function isLeaving(transcript: readonly TranscriptEntry[]): boolean {
  return transcript.some(({ type }) => type === 'recording' || type === 'answered');
}

function staffOf(transcript: readonly TranscriptEntry[]): Scene['staff'] {
  const does = new Map<PersonId | ContactId, SceneStaffDoes>();
  for (const entry of transcript) {
    if (entry.type === 'answered') {
      const who = entry.phone.type === 'person' ? entry.phone.personId : entry.phone.contactId;
      if (who) does.set(who, 'answers');
    }
    if (entry.type === 'notAnswered' && entry.target.type === 'person' && entry.why === 'busy') {
      does.set(entry.target.personId, 'busy');
    }
  }
  return [...does].map(([who, each]) => ({ who, does: each }));
}
