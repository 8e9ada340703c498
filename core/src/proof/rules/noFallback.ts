import { placedPaths } from '../../line';
import { pathFix } from '../mend';
import { atSlot, type Rule } from '../rule';

/** A menu without a path for callers who press nothing, or nothing that is known. */
export const noFallback: Rule<'noFallback'> = {
  name: 'noFallback',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) =>
    [...placedPaths(subject.attendant).values()]
      .filter(({ slot }) => slot.type === 'silence' || slot.type === 'wrongKey')
      .filter(({ path }) => path.length === 0)
      .map(({ slot }) => ({ at: atSlot(slot), ...pathFix(subject, slot, []) })),
};
