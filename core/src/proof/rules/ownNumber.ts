import { withoutStep } from '../mend';
import { numberOf } from '../outsideCalls';
import type { Found, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside call to the line itself: it would ring itself for ever. A colleague's outside phone may be one too. */
export const ownNumber: Rule<'ownNumber'> = {
  name: 'ownNumber',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const { number } = subject.line;
    if (number === '') return [];
    const people = subject.people
      .filter(({ phones }) => phones.some((phone) => phone.type === 'outside' && phone.number === number))
      .map(({ id }): Found => ({ at: { type: 'row', id } }));
    const steps = stepsWhere(
      subject,
      (step) => numberOf(subject, step) === number,
      ({ slot, stepIndex }) => withoutStep(subject, slot, stepIndex),
    );
    return [...steps, ...people];
  },
};
