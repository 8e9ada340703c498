import { type Sheet, type VoiceId } from '../../line';
import { comfortableMs, comfortableOptions, expectedMs, sheetSentences, type SpokenFacts } from '../../speech';
import { proofFacts } from '../facts';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';

/** A menu that takes longer to say than callers listen. Announcements may take twice as long. */
export const longReadOut: Rule<'longReadOut'> = {
  name: 'longReadOut',
  grade: 'tip',
  consequence: 'waits',
  find: (subject) => {
    const facts = proofFacts(subject);
    return subject.attendant.sheets.flatMap((sheet): Found[] => {
      const seconds = Math.round(saidMs(sheet, subject.attendant.voice, facts) / 1000);
      const most = (comfortableMs / 1000) * patienceFor(sheet);
      return seconds > most ? [{ at: { type: 'sheet', sheetId: sheet.id }, facts: { seconds } }] : [];
    });
  },
};

/** How much longer than the aim they listen to it: a little where there are few keys, twice where there are none. */
function patienceFor(sheet: Sheet): number {
  if (sheet.type === 'announcement') return 2;
  return sheet.options.filter(({ readOut }) => readOut).length <= comfortableOptions ? 1.25 : 1;
}

const saidMs = rememberBy((sheet: Sheet, voice: VoiceId, facts: SpokenFacts): number =>
  sheetSentences(sheet, voice, facts).reduce(
    (sum, sentence) => sum + (sentence.recorded?.lengthMs ?? expectedMs(sentence)) + sentence.pauseAfterMs,
    0,
  ),
);
