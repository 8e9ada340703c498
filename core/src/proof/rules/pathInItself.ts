import { findNamedPath, type Attendant, type Edit, type NamedPath, type NamedPathId, type Slot } from '../../line';
import { pathFix } from '../mend';
import { atSlot, type ProofSubject, type Rule } from '../rule';

/** A path with a name that follows itself, straight or by way of others. */
export const pathInItself: Rule<'pathInItself'> = {
  name: 'pathInItself',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) =>
    subject.attendant.paths
      .filter(({ id }) => follows(subject.attendant, id, id, new Set()))
      .map((path) => {
        const slot: Slot = { type: 'named', pathId: path.id };
        return { at: atSlot(slot), ...fixFor(subject, slot, path) };
      }),
};

function follows(attendant: Attendant, from: NamedPathId, to: NamedPathId, seen: Set<NamedPathId>): boolean {
  if (seen.has(from)) return false;
  seen.add(from);
  const steps = findNamedPath(attendant, from)?.steps ?? [];
  return steps.some(
    (step) => step.type === 'followPath' && (step.pathId === to || follows(attendant, step.pathId, to, seen)),
  );
}

/** Without the steps by which it comes round to itself. */
function fixFor(subject: ProofSubject, slot: Slot, { id, steps }: NamedPath): { readonly fix?: Edit } {
  const left = steps.filter(
    (step) =>
      step.type !== 'followPath' || (step.pathId !== id && !follows(subject.attendant, step.pathId, id, new Set())),
  );
  return pathFix(subject, slot, left);
}
