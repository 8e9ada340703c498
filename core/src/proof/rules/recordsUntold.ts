import { withStep } from '../mend';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A call that is recorded without the caller being told. */
export const recordsUntold: Rule<'recordsUntold'> = {
  name: 'recordsUntold',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    stepsWhere(
      subject,
      (step) => step.type === 'record' && step.on && !step.tells,
      ({ step, slot, stepIndex }) =>
        step.type === 'record' ? withStep(subject, slot, stepIndex, { ...step, tells: true }) : {},
    ),
};
