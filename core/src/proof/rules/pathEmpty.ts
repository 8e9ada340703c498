import { pathsOf } from '../../line';
import type { Rule } from '../rule';

/** A key, an answering rule or what follows an announcement that leads nowhere. Fallbacks have a rule of their own. */
export const pathEmpty: Rule<'pathEmpty'> = {
  name: 'pathEmpty',
  grade: 'fault',
  find: ({ attendant }) =>
    pathsOf(attendant)
      .filter(({ slot }) => slot.type !== 'silence' && slot.type !== 'wrongKey')
      .filter(({ path }) => path.length === 0)
      .map(({ slot }) => ({ at: { type: 'path', slot, stepIndex: null } })),
};
