import type { Rule } from '../rule';
import { waitsWhere } from '../waits';

/** A queue that callers cannot leave but by hanging up. */
export const noWayOut: Rule<'noWayOut'> = {
  name: 'noWayOut',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => waitsWhere(subject, ({ exitKey }) => exitKey === null, { exitKey: '*' }),
};
