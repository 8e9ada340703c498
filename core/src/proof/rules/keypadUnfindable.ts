import type { Found, Rule } from '../rule';
import { reportOf, searchedBy } from './keypadCollision';

/** People whom callers are to find by name, and whose name has no letters that a keypad knows. */
export const keypadUnfindable: Rule<'keypadUnfindable'> = {
  name: 'keypadUnfindable',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) => {
    const ids = new Set(searchedBy(subject).flatMap(({ by }) => reportOf(subject.people, by).unfindable));
    return [...ids].map((id): Found => ({ at: { type: 'row', id } }));
  },
};
