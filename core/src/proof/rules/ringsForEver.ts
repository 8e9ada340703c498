import { defaultRingSeconds } from '../../line';
import { withStep } from '../mend';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** Ringing with no limit: nothing after it can ever run. */
export const ringsForEver: Rule<'ringsForEver'> = {
  name: 'ringsForEver',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) =>
    stepsWhere(
      subject,
      (step) => (step.type === 'ring' || step.type === 'ringOutside') && step.seconds === null,
      ({ step, slot, stepIndex }) =>
        step.type === 'ring' || step.type === 'ringOutside'
          ? withStep(subject, slot, stepIndex, { ...step, seconds: defaultRingSeconds })
          : {},
    ),
};
