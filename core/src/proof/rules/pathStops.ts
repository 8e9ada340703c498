import { pathEnds, placedPaths } from '../../line';
import { endingIn, pathFix } from '../mend';
import type { Rule } from '../rule';

/**
 * A path whose last step may let the caller through to nothing. One with a name of its own, or of a queue, may go on
 * where it is used.
 */
export const pathStops: Rule<'pathStops'> = {
  name: 'pathStops',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) =>
    [...placedPaths(subject.attendant).values()]
      .filter(({ slot, path }) => slot.type !== 'named' && slot.type !== 'queue' && path.length > 0)
      .filter(({ slot, path }) => !pathEnds(subject.attendant, endingIn(slot, path)))
      .map(({ slot, path }) => ({
        at: { type: 'path', slot, stepIndex: path.length - 1 },
        ...pathFix(subject, slot, path),
      })),
};
