import { sheetOfSlot, slotKey } from '../../line';
import type { Found, Rule } from '../rule';
import { desksOnly, reachedRings } from '../staffAt';

/** Phones on desks that ring while the office is closed, and nobody is there to hear them. */
export const closedOffice: Rule<'closedOffice'> = {
  name: 'closedOffice',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => {
    const found = new Map<string, Found>();
    for (const { slot, stepIndex, step, when } of reachedRings(subject)) {
      // Where one key of a menu does, most do: once for each sheet is enough.
      const where = sheetOfSlot(slot) ?? slotKey(slot);
      const isClosed = when.some(({ closed }) => closed.some((atMs) => desksOnly(subject, step, atMs)));
      if (found.has(where) || !isClosed) continue;
      found.set(where, { at: { type: 'path', slot, stepIndex } });
    }
    return [...found.values()];
  },
};
