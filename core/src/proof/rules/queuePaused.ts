import type { Rule } from '../rule';
import { waitsWhere } from '../waits';

/** A queue that takes no callers for now. */
export const queuePaused: Rule<'queuePaused'> = {
  name: 'queuePaused',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) => waitsWhere(subject, ({ paused }) => paused, { paused: false }),
};
