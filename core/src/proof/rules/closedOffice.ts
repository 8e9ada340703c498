import type { Rule } from '../rule';
import { desksOnly, reachedRings } from '../staffAt';

/** Phones on desks that ring while the office is closed, and nobody is there to hear them. */
export const closedOffice: Rule<'closedOffice'> = {
  name: 'closedOffice',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) =>
    reachedRings(subject)
      .filter(({ step, closed }) => closed.some((atMs) => desksOnly(subject, step, atMs)))
      .map(({ slot, stepIndex }) => ({ at: { type: 'path', slot, stepIndex } })),
};
