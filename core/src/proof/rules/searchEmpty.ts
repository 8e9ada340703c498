import type { Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A search by name where nobody can be found. */
export const searchEmpty: Rule<'searchEmpty'> = {
  name: 'searchEmpty',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) =>
    subject.people.some(({ inDirectory }) => inDirectory)
      ? []
      : stepsWhere(subject, ({ type }) => type === 'searchByName'),
};
