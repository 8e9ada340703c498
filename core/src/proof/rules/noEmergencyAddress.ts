import type { Rule } from '../rule';

/** A line for which no address is on record where emergency services would find whoever calls them from it. */
export const noEmergencyAddress: Rule<'noEmergencyAddress'> = {
  name: 'noEmergencyAddress',
  grade: 'tip',
  consequence: 'office',
  find: ({ line }) => (line.emergencyAddress.trim() === '' ? [{ at: { type: 'line' } }] : []),
};
