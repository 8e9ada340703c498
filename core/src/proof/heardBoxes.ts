import type { Box, BoxId } from '../directory';
import type { ProofSubject } from './rule';
import { stepsOf } from './steps';

/** Whether somebody owns a box, is told of its messages or can dial it; or is told by the steps that take them. */
export function isBoxHeard(subject: ProofSubject, id: BoxId): boolean {
  const box = subject.boxes.find((each) => each.id === id);
  if (!box || isHeardByItself(box)) return true;
  return stepsOf(subject, 'takeMessage').some(({ step }) => step.boxId === id && (step.tell ?? []).length > 0);
}

export function isHeardByItself({ ownerId, tell, code }: Box): boolean {
  return ownerId !== null || tell.length > 0 || code !== '';
}
