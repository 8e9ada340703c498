import { describeOutOfStep } from '../../speech';
import { heardRecordings, untrueIn } from '../recordings';
import type { Found, Rule } from '../rule';

/** A recording that no longer says what the keys, hours and names are. */
export const recordingOutOfStep: Rule<'recordingOutOfStep'> = {
  name: 'recordingOutOfStep',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    heardRecordings(subject).flatMap((recording): Found[] => {
      const [first] = untrueIn(recording);
      if (!first) return [];
      const { at, byVoice } = recording;
      return [{ at, facts: { says: describeOutOfStep(first) }, ...(byVoice && { fix: byVoice }) }];
    }),
};
