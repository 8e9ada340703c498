import { pathAt, slotsOf } from '../../line';
import type { Rule } from '../rule';

/** A menu without a path for callers who press nothing, or nothing that is known. */
export const noFallback: Rule<'noFallback'> = {
  name: 'noFallback',
  grade: 'fault',
  find: ({ attendant }) =>
    slotsOf(attendant)
      .filter((slot) => slot.type === 'silence' || slot.type === 'wrongKey')
      .filter((slot) => pathAt(attendant, slot)?.length === 0)
      .map((slot) => ({ type: 'path', slot, stepIndex: null })),
};
