import { isKnownZone } from '../facts';
import type { Rule } from '../rule';

/** A line whose clock nobody knows. */
export const lineNoZone: Rule<'lineNoZone'> = {
  name: 'lineNoZone',
  grade: 'fault',
  consequence: 'wrongPlace',
  find: ({ line }) => (isKnownZone(line.timeZone) ? [] : [{ at: { type: 'line' } }]),
};
