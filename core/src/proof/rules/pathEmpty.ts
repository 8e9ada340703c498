import { pathAt, slotsOf } from '../../line';
import type { Rule } from '../rule';

/** A key, an answering rule or what follows an announcement that leads nowhere. Fallbacks have a rule of their own. */
export const pathEmpty: Rule<'pathEmpty'> = {
  name: 'pathEmpty',
  grade: 'fault',
  find: ({ attendant }) =>
    slotsOf(attendant)
      .filter((slot) => slot.type !== 'silence' && slot.type !== 'wrongKey')
      .filter((slot) => pathAt(attendant, slot)?.length === 0)
      .map((slot) => ({ type: 'path', slot, stepIndex: null })),
};
