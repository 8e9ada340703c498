import { isUnchosen, refersTo } from '../../line';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A step in which it is still to be chosen whom it rings or where it leads. */
export const notChosen: Rule<'notChosen'> = {
  name: 'notChosen',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => stepsWhere(subject, (step) => refersTo(step).some(isUnchosen)),
};
