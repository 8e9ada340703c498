import type { Rule } from '../rule';

/** A line without a number: nobody can ring it. */
export const lineNoNumber: Rule<'lineNoNumber'> = {
  name: 'lineNoNumber',
  grade: 'fault',
  consequence: 'lost',
  find: ({ line }) => (line.number.trim() === '' ? [{ at: { type: 'line' } }] : []),
};
