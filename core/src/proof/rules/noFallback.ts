import { pathsOf } from '../../line';
import type { Rule } from '../rule';

/** A menu without a path for callers who press nothing, or nothing that is known. */
export const noFallback: Rule<'noFallback'> = {
  name: 'noFallback',
  grade: 'fault',
  find: ({ attendant }) =>
    pathsOf(attendant)
      .filter(({ slot }) => slot.type === 'silence' || slot.type === 'wrongKey')
      .filter(({ path }) => path.length === 0)
      .map(({ slot }) => ({ at: { type: 'path', slot, stepIndex: null } })),
};
