import { pathEnds, pathsOf, sheetOfSlot, type Path, type Slot } from '../../line';
import type { Rule } from '../rule';

/**
 * A path whose last step may let the caller through to nothing. One with a name of its own, or of a queue, may go on
 * where it is used.
 */
export const pathStops: Rule<'pathStops'> = {
  name: 'pathStops',
  grade: 'fault',
  find: ({ attendant }) =>
    pathsOf(attendant)
      .filter(({ slot, path }) => slot.type !== 'named' && slot.type !== 'queue' && path.length > 0)
      .filter(({ slot, path }) => !pathEnds(attendant, endingIn(slot, path)))
      .map(({ slot, path }) => ({ at: { type: 'path', slot, stepIndex: path.length - 1 } })),
};

/** Outside of sheets there is nothing to say again and nowhere to go back to: such steps do not end a path there. */
function endingIn(slot: Slot, path: Path): Path {
  return sheetOfSlot(slot) ? path : path.filter(({ type }) => type !== 'back' && type !== 'sayAgain');
}
