import { placedPaths, type Slot, type Step } from '../line';
import type { Found, ProofSubject } from './rule';

/** A step with its place. */
export interface PlacedStep {
  readonly step: Step;
  readonly slot: Slot;
  readonly stepIndex: number;
}

/** Every step of an attendant of some kinds. */
export function stepsOf<Type extends Step['type']>(
  { attendant }: Pick<ProofSubject, 'attendant'>,
  ...types: readonly Type[]
): readonly (PlacedStep & { readonly step: Extract<Step, { type: Type }> })[] {
  const wanted: readonly string[] = types;
  return [...placedPaths(attendant).values()].flatMap(({ slot, path }) =>
    path.flatMap((step, stepIndex) =>
      wanted.includes(step.type) ? [{ step: step as Extract<Step, { type: Type }>, slot, stepIndex }] : [],
    ),
  );
}

/** Every step of an attendant that is of interest to a rule, as something found there. */
export function stepsWhere(
  { attendant }: ProofSubject,
  isFound: (step: Step) => boolean,
  more: (placed: PlacedStep) => Partial<Found> = () => ({}),
): readonly Found[] {
  return [...placedPaths(attendant).values()].flatMap(({ slot, path }) =>
    path.flatMap((step, stepIndex): Found[] =>
      isFound(step) ? [{ at: { type: 'path', slot, stepIndex }, ...more({ step, slot, stepIndex }) }] : [],
    ),
  );
}
