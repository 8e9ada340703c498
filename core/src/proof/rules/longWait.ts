import { queueLimits, type Queue } from '../../directory';
import type { Found, ProofSubject, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A queue in which callers may wait longer than they put up with. */
export const longWait: Rule<'longWait'> = {
  name: 'longWait',
  grade: 'caution',
  find: (subject) =>
    waitsWhere(subject, ({ longestWaitSeconds }) => longestWaitSeconds > queueLimits.longestAdvisedWaitSeconds),
};

/** A queue that callers cannot leave but by hanging up. */
export const noWayOut: Rule<'noWayOut'> = {
  name: 'noWayOut',
  grade: 'caution',
  find: (subject) => waitsWhere(subject, ({ exitKey }) => exitKey === null),
};

function waitsWhere(subject: ProofSubject, isFound: (queue: Queue) => boolean): readonly Found[] {
  const found = new Set<string>(subject.queues.filter(isFound).map(({ id }) => id));
  return stepsWhere(subject, (step) => step.type === 'waitInQueue' && found.has(step.queueId));
}
