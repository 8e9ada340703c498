import { placedPaths, type Edit, type Slot } from '../../line';
import { pathFix } from '../mend';
import { atSlot, type ProofSubject, type Rule } from '../rule';

/** A key, an answering rule or what follows an announcement that leads nowhere. Fallbacks have a rule of their own. */
export const pathEmpty: Rule<'pathEmpty'> = {
  name: 'pathEmpty',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) =>
    [...placedPaths(subject.attendant).values()]
      .filter(({ slot }) => slot.type !== 'silence' && slot.type !== 'wrongKey')
      .filter(({ path }) => path.length === 0)
      .map(({ slot }) => ({ at: atSlot(slot), ...fixFor(subject, slot) })),
};

function fixFor(subject: ProofSubject, slot: Slot): { readonly fix?: Edit } {
  return slot.type === 'named' ? {} : pathFix(subject, slot, []);
}
