import { isTimeZone } from '../../hours';
import type { Rule } from '../rule';

/** A line whose clock nobody knows. */
export const lineNoZone: Rule<'lineNoZone'> = {
  name: 'lineNoZone',
  grade: 'fault',
  consequence: 'wrongPlace',
  find: ({ line }) => (isTimeZone(line.timeZone) ? [] : [{ at: { type: 'line' } }]),
};
