import { heardRecordings } from '../recordings';
import type { Found, Rule } from '../rule';

/** A recording that callers hear, of which nobody knows whether it says what it should. */
export const recordingNotKnown: Rule<'recordingNotKnown'> = {
  name: 'recordingNotKnown',
  grade: 'tip',
  consequence: 'misled',
  find: (subject) =>
    heardRecordings(subject).flatMap(({ at, take: { verdict } }): Found[] =>
      verdict?.type === 'unknown' ? [{ at, facts: {} }] : [],
    ),
};
