import type { Queue } from '../directory';
import type { Found, ProofSubject, RowFix } from './rule';
import { stepsOf } from './steps';

type Changes = Extract<RowFix, { type: 'queue' }>['changes'];

/** The steps that let callers wait in certain queues, and what of the queue would mend that. */
export function waitsWhere(
  subject: ProofSubject,
  isFound: (queue: Queue) => boolean,
  changes: Changes,
): readonly Found[] {
  const found = new Set<string>(subject.queues.filter(isFound).map(({ id }) => id));
  if (found.size === 0) return [];
  return stepsOf(subject, 'waitInQueue').flatMap(({ slot, stepIndex, step: { queueId } }): Found[] =>
    found.has(queueId)
      ? [{ at: { type: 'path', slot, stepIndex }, rowFix: { type: 'queue', id: queueId, changes } }]
      : [],
  );
}
