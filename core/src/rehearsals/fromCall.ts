import type { RungPhone, TranscriptEntry } from '../call';
import type { PersonId, ContactId } from '../directory';
import { clockReading, type TimeZone } from '../hours';
import type { Expectation, Scene, SceneAct, SceneStaffDoes } from './rehearsal';
import { endOf, reachedBy } from './rehearse';

/** What a call that was made says of when, who calls, what they did and who answered. */
export function sceneOfCall(transcript: readonly TranscriptEntry[], zone: TimeZone): Scene {
  const first = transcript[0];
  const callerNumber = first && 'callerNumber' in first ? first.callerNumber : 'anonymous';
  const reading = clockReading(first?.atMs ?? 0, zone).slice(0, 16);
  return { reading, callerNumber, acts: actsOf(transcript), ...staffOf(transcript) };
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

/** What everybody did who was rung. A bare number has no name of its own: it does what the others do. */
function staffOf(transcript: readonly TranscriptEntry[]): Pick<Scene, 'staff' | 'others'> {
  const does = new Map<PersonId | ContactId | null, SceneStaffDoes>();
  for (const entry of transcript) {
    if (entry.type === 'ringing' && !does.has(whoseIs(entry.phone))) does.set(whoseIs(entry.phone), 'noAnswer');
    if (entry.type === 'answered') does.set(whoseIs(entry.phone), 'answers');
    if (entry.type === 'notAnswered' && entry.target.type === 'person' && entry.why === 'busy') {
      does.set(entry.target.personId, 'busy');
    }
  }
  const others = does.get(null) ?? 'noAnswer';
  const staff = [...does].flatMap(([who, each]) => (who && each !== others ? [{ who, does: each }] : []));
  return { staff, others };
}

/** Whose phone it is; null for a number that belongs to nobody in the directory. */
function whoseIs(phone: RungPhone): PersonId | ContactId | null {
  return phone.type === 'person' ? phone.personId : phone.contactId;
}
