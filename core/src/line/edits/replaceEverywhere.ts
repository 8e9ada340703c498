import type { Attendant } from '../attendant';
import { replacedInPath, usesOf } from '../references';
import { pathAt, type Slot } from '../slot';
import type { ReplaceEverywhere } from './edit';
import { setPath } from './setPath';

/**
 * Lets every step that refers to one thing refer to another of its kind: the colleague who left, the box that is closed.
 * Rules of the answering order stay: a period or a list is what they are about.
 */
export function replaceEverywhere(attendant: Attendant, { from, to }: ReplaceEverywhere): Attendant {
  const slots = usesOf(attendant, from).flatMap(({ slot, stepIndex }): Slot[] => (stepIndex === null ? [] : [slot]));
  return slots.reduce(
    (changed, slot) =>
      setPath(changed, { type: 'setPath', slot, path: replacedInPath(pathAt(changed, slot) ?? [], from, to) }),
    attendant,
  );
}
