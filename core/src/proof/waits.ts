import type { Queue } from '../directory';
import type { Found, ProofSubject } from './rule';
import { stepsWhere } from './steps';

/** The steps that let callers wait in certain queues. */
export function waitsWhere(subject: ProofSubject, isFound: (queue: Queue) => boolean): readonly Found[] {
  const found = new Set<string>(subject.queues.filter(isFound).map(({ id }) => id));
  if (found.size === 0) return [];
  return stepsWhere(subject, (step) => step.type === 'waitInQueue' && found.has(step.queueId));
}
