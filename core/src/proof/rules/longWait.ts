import { queueLimits } from '../../directory';
import type { Rule } from '../rule';
import { waitsWhere } from '../waits';

/** A queue in which callers may wait longer than they put up with. */
export const longWait: Rule<'longWait'> = {
  name: 'longWait',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) =>
    waitsWhere(subject, ({ longestWaitSeconds }) => longestWaitSeconds > queueLimits.longestAdvisedWaitSeconds, {
      longestWaitSeconds: queueLimits.longestAdvisedWaitSeconds,
    }),
};
