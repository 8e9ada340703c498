import { boxOf, type Box } from '../directory';
import {
  messageDefaults,
  pathAt,
  pathEnds,
  placedSteps,
  sheetOfSlot,
  type Edit,
  type Path,
  type PlacedStep,
  type Slot,
  type Step,
} from '../line';
import type { ProofSubject } from './rule';

/** The step of a path that has been found, taken out; the path still ends. */
export function withoutStep(subject: ProofSubject, slot: Slot, stepIndex: number): { readonly fix?: Edit } {
  const path = pathAt(subject.attendant, slot) ?? [];
  return pathFix(
    subject,
    slot,
    path.filter((_, index) => index !== stepIndex),
  );
}

/** The step of a path that has been found, changed; the path still ends. */
export function withStep(subject: ProofSubject, slot: Slot, stepIndex: number, step: Step): { readonly fix?: Edit } {
  const path = pathAt(subject.attendant, slot) ?? [];
  return pathFix(
    subject,
    slot,
    path.map((each, index) => (index === stepIndex ? step : each)),
  );
}

/** Another path in a place, brought to an end by taking a message where it does not end by itself. */
export function pathFix(subject: ProofSubject, slot: Slot, path: Path): { readonly fix?: Edit } {
  const ended = endedPath(subject, slot, path);
  return ended ? { fix: { type: 'setPath', slot, path: ended } } : {};
}

/** What has to be known to bring a path to an end. */
export type MendedIn = Pick<ProofSubject, 'attendant' | 'boxes' | 'groups'>;

/** A path, brought to an end by taking a message where it does not end by itself; undefined where that cannot be. */
export function endedPath(subject: MendedIn, slot: Slot, path: Path): Path | undefined {
  if (pathEnds(subject.attendant, endingIn(slot, path))) return path;
  const box = boxFor(subject, slot, path);
  return box && [...path, { type: 'takeMessage', boxId: box.id, ...messageDefaults }];
}

/** Outside of sheets there is nothing to say again and nowhere to go back to: such steps do not end a path there. */
export function endingIn(slot: Slot, path: Path): Path {
  return sheetOfSlot(slot) ? path : path.filter(({ type }) => type !== 'back' && type !== 'sayAgain');
}

/**
 * Where those who reach nobody on a path would leave a message: whose box it is, or the one named as the group; else the
 * box that is used nearest by, or the only one there is.
 */
function boxFor({ attendant, boxes, groups }: MendedIn, slot: Slot, path: Path): Box | undefined {
  for (const step of [...path].reverse()) {
    const group = step.type === 'ringGroup' ? groups.find(({ id }) => id === step.groupId)?.name : undefined;
    const own =
      step.type === 'ring' ? boxOf(boxes, step.personId) : boxes.find(({ name }) => group && name.startsWith(group));
    if (own) return own;
  }
  const placed = placedSteps(attendant);
  const onSheet = placed.filter((each) => sheetOfSlot(slot) && sheetOfSlot(each.slot) === sheetOfSlot(slot));
  return mostUsed(boxes, onSheet) ?? mostUsed(boxes, placed) ?? (boxes.length === 1 ? boxes[0] : undefined);
}

function mostUsed(boxes: readonly Box[], placed: readonly PlacedStep[]): Box | undefined {
  const uses = ({ id }: Box): number =>
    placed.filter(({ step }) => step.type === 'takeMessage' && step.boxId === id).length;
  const used = boxes.filter((box) => uses(box) > 0);
  return used.sort((one, other) => uses(other) - uses(one))[0];
}
