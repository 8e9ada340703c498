import { pathEnds, pathsOf } from '../../line';
import type { Rule } from '../rule';

/** A path whose last step may let the caller through to nothing. One with a name of its own may go on where it is used. */
export const pathStops: Rule<'pathStops'> = {
  name: 'pathStops',
  grade: 'fault',
  find: ({ attendant }) =>
    pathsOf(attendant)
      .filter(({ slot, path }) => slot.type !== 'named' && path.length > 0 && !pathEnds(attendant, path))
      .map(({ slot, path }) => ({ at: { type: 'path', slot, stepIndex: path.length - 1 } })),
};
