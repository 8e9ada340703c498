import type { Rule } from '../rule';
import { reachedRings, someoneWorks } from '../staffAt';

/** A step that rings people of whom nobody works at any time at which a call comes to it. */
export const nobodyWorking: Rule<'nobodyWorking'> = {
  name: 'nobodyWorking',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) =>
    reachedRings(subject)
      .filter(({ step, when }) => !when.some(({ moments }) => someoneWorks(subject, step, moments)))
      .map(({ slot, stepIndex }) => ({ at: { type: 'path', slot, stepIndex } })),
};
