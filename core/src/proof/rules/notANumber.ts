import { withoutStep } from '../mend';
import { numberOf, outsideOf } from '../outsideCalls';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside call to something that is no telephone number. */
export const notANumber: Rule<'notANumber'> = {
  name: 'notANumber',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) =>
    stepsWhere(
      subject,
      (step) => outsideOf(step)?.type === 'number' && numberOf(subject, step) === '',
      ({ slot, stepIndex }) => withoutStep(subject, slot, stepIndex),
    ),
};
