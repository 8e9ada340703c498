import { placedSteps, type PlacedStep, type Step } from '../line';
import type { Found, ProofSubject } from './rule';

/** Every step of an attendant of some kinds, with its place. */
export function stepsOf<Type extends Step['type']>(
  { attendant }: Pick<ProofSubject, 'attendant'>,
  ...types: readonly Type[]
): readonly (PlacedStep & { readonly step: Extract<Step, { type: Type }> })[] {
  const wanted: readonly string[] = types;
  return placedSteps(attendant).filter(
    (placed): placed is PlacedStep & { readonly step: Extract<Step, { type: Type }> } =>
      wanted.includes(placed.step.type),
  );
}

/** Every step of an attendant that is of interest to a rule, as something found there. */
export function stepsWhere(
  { attendant }: ProofSubject,
  isFound: (step: Step) => boolean,
  more: (placed: PlacedStep) => Partial<Found> = () => ({}),
): readonly Found[] {
  return placedSteps(attendant)
    .filter(({ step }) => isFound(step))
    .map((placed) => ({
      at: { type: 'path', slot: placed.slot, stepIndex: placed.stepIndex },
      ...more(placed),
    }));
}
