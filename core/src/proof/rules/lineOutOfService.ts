import { isInService } from '../../directory';
import type { Rule } from '../rule';

/** A line that is not in service today. */
export const lineOutOfService: Rule<'lineOutOfService'> = {
  name: 'lineOutOfService',
  grade: 'caution',
  consequence: 'lost',
  find: ({ line, today }) => (isInService(line, today) ? [] : [{ at: { type: 'line' } }]),
};
