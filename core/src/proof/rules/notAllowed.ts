import { mayCall } from '../../directory';
import { numberOf } from '../outsideCalls';
import type { Found, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** An outside number, in the script or of a colleague, that the settings do not let the line call. */
export const notAllowed: Rule<'notAllowed'> = {
  name: 'notAllowed',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const isKeptFrom = (number: string | undefined): boolean =>
      number !== undefined && number !== '' && !mayCall(number, subject.outgoing);
    const people = subject.people
      .filter(({ phones }) => phones.some((phone) => phone.type === 'outside' && isKeptFrom(phone.number)))
      .map(({ id }): Found => ({ at: { type: 'row', id } }));
    return [...stepsWhere(subject, (step) => isKeptFrom(numberOf(subject, step))), ...people];
  },
};
