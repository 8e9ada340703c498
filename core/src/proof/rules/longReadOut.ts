import { findSheet, type Sheet, type VoiceId } from '../../line';
import { comfortableMs, expectedMs, sheetSentences, type SpokenFacts } from '../../speech';
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
      const most = (comfortableMs / 1000) * (findSheet(subject.attendant, sheet.id)?.type === 'menu' ? 1 : 2);
      return seconds > most ? [{ at: { type: 'sheet', sheetId: sheet.id }, facts: { seconds } }] : [];
    });
  },
};

const saidMs = rememberBy((sheet: Sheet, voice: VoiceId, facts: SpokenFacts): number =>
  sheetSentences(sheet, voice, facts).reduce(
    (sum, sentence) => sum + (sentence.recorded?.lengthMs ?? expectedMs(sentence)) + sentence.pauseAfterMs,
    0,
  ),
);
