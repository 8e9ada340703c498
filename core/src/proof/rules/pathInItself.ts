import { findNamedPath, type Attendant, type NamedPathId } from '../../line';
import type { Rule } from '../rule';

/** A path with a name that follows itself, straight or by way of others. */
export const pathInItself: Rule<'pathInItself'> = {
  name: 'pathInItself',
  grade: 'fault',
  find: ({ attendant }) =>
    attendant.paths
      .filter(({ id }) => follows(attendant, id, id, new Set()))
      .map(({ id }) => ({ at: { type: 'path', slot: { type: 'named', pathId: id }, stepIndex: null } })),
};

function follows(attendant: Attendant, from: NamedPathId, to: NamedPathId, seen: Set<NamedPathId>): boolean {
  if (seen.has(from)) return false;
  seen.add(from);
  const steps = findNamedPath(attendant, from)?.steps ?? [];
  return steps.some(
    (step) => step.type === 'followPath' && (step.pathId === to || follows(attendant, step.pathId, to, seen)),
  );
}
