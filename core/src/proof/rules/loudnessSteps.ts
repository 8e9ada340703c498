import { lineLoudness } from '../../audio';
import { heardRecordings } from '../recordings';
import type { Found, Rule } from '../rule';

/** What callers hear as louder or softer, in LU. */
const heardStep = 4;

/** A recording that is louder or softer than everything else on the line. */
export const loudnessSteps: Rule<'loudnessSteps'> = {
  name: 'loudnessSteps',
  grade: 'tip',
  consequence: 'office',
  find: (subject) =>
    heardRecordings(subject).flatMap(({ at, take }): Found[] => {
      const apart = (take.made?.after.lufs ?? lineLoudness.lufs) - lineLoudness.lufs;
      if (Math.abs(apart) < heardStep || take.faults.some((fault) => fault === 'silent' || fault === 'tooQuiet'))
        return [];
      return [{ at, facts: { apart: Math.round(Math.abs(apart)), is: apart > 0 ? 'louder' : 'softer' } }];
    }),
};
