import { alwaysEnds, pathAt, slotsOf } from '../../line';
import type { Rule } from '../rule';

/** A path whose last step may let the caller through to nothing. */
export const pathStops: Rule<'pathStops'> = {
  name: 'pathStops',
  grade: 'fault',
  find: ({ attendant }) =>
    slotsOf(attendant).flatMap((slot) => {
      const path = pathAt(attendant, slot) ?? [];
      const last = path.at(-1);
      return last && !alwaysEnds(last) ? [{ type: 'path', slot, stepIndex: path.length - 1 }] : [];
    }),
};
