import { pathsOf, type Step } from '../line';
import type { Found, ProofSubject } from './rule';

/** Every step of an attendant that is of interest to a rule, as something found there. */
export function stepsWhere({ attendant }: ProofSubject, isFound: (step: Step) => boolean): readonly Found[] {
  return pathsOf(attendant).flatMap(({ slot, path }) =>
    path.flatMap((step, stepIndex): Found[] => (isFound(step) ? [{ at: { type: 'path', slot, stepIndex } }] : [])),
  );
}
