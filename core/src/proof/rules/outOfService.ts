import { isInService } from '../../directory';
import { contactOf, outsideOf } from '../outsideCalls';
import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside call to a number that is not in service today. */
export const outOfService: Rule<'outOfService'> = {
  name: 'outOfService',
  grade: 'caution',
  consequence: 'wrongPlace',
  find: (subject) =>
    stepsWhere(subject, (step) => {
      const contact = contactOf(subject, outsideOf(step));
      return contact !== undefined && !isInService(contact, subject.today);
    }),
};
