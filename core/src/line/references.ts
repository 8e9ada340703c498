import type { BoxId, PersonId } from '../directory';
import type { PeriodId } from '../hours';
import type { Attendant } from './attendant';
import type { GreetingId, SheetId } from './ids';
import { pathAt, slotsOf, type Slot } from './slot';
import type { Step } from './step';

/** Anything an attendant can refer to. */
export type ReferredId = PersonId | BoxId | GreetingId | SheetId | PeriodId;

/** Where something is used: a step of a path, or a rule of the answering order. */
export type Use = { readonly slot: Slot; readonly stepIndex: number | null };

/** Every place of the attendant that refers to something. */
export function usesOf(attendant: Attendant, id: ReferredId): readonly Use[] {
  return slotsOf(attendant).flatMap((slot): Use[] => {
    const rule: Use[] = slot.type === 'period' && slot.periodId === id ? [{ slot, stepIndex: null }] : [];
    const path = pathAt(attendant, slot) ?? [];
    const steps = path.flatMap((step, stepIndex) => (refersTo(step) === id ? [{ slot, stepIndex }] : []));
    return [...rule, ...steps];
  });
}

/** The one thing a step refers to, if any. */
export function refersTo(step: Step): ReferredId | undefined {
  switch (step.type) {
    case 'ring':
      return step.personId;
    case 'takeMessage':
      return step.boxId;
    case 'goTo':
      return step.sheetId;
    case 'say':
      return step.spoken.type === 'greeting' ? step.spoken.greetingId : undefined;
    case 'sayAgain':
    case 'hangUp':
      return undefined;
  }
}

/** The ids of the library greetings that the attendant's steps say. */
export function greetingsUsed(attendant: Attendant): ReadonlySet<GreetingId> {
  const found = new Set<GreetingId>();
  for (const slot of slotsOf(attendant)) {
    for (const step of pathAt(attendant, slot) ?? []) {
      if (step.type === 'say' && step.spoken.type === 'greeting') found.add(step.spoken.greetingId);
    }
  }
  return found;
}
