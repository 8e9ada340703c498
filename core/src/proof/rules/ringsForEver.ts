import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** Ringing with no limit: nothing after it can ever run. */
export const ringsForEver: Rule<'ringsForEver'> = {
  name: 'ringsForEver',
  grade: 'caution',
  find: (subject) =>
    stepsWhere(subject, (step) => (step.type === 'ring' || step.type === 'ringOutside') && step.seconds === null),
};
