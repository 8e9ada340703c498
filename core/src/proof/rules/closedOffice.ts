import { pathAt, sheetOfSlot, slotKey, type Slot } from '../../line';
import type { Found, ProofSubject, Rule } from '../rule';
import { desksOnly, reachedRings, someoneWorks, type ReachedRing } from '../staffAt';

/** Phones on desks that ring while the office is closed, and nobody is there to hear them. */
export const closedOffice: Rule<'closedOffice'> = {
  name: 'closedOffice',
  grade: 'caution',
  consequence: 'waits',
  find: (subject) => {
    const found = new Map<string, Found>();
    const rings = reachedRings(subject);
    for (const { slot, stepIndex, step, when } of rings) {
      // Where one key of a menu does, most do: once for each sheet is enough.
      const where = sheetOfSlot(slot) ?? slotKey(slot);
      const isClosed = when.some(({ closed }) => closed.some((atMs) => desksOnly(subject, step, atMs)));
      if (found.has(where) || !isClosed || (slot.type === 'callers' && isElsewhereToo(subject, rings, slot))) continue;
      found.set(where, { at: { type: 'path', slot, stepIndex } });
    }
    return [...found.values()];
  },
};

/** Whoever is on a list may ring at any time: where somebody is rung at night as well, the desks do no harm. */
function isElsewhereToo(subject: ProofSubject, rings: readonly ReachedRing[], slot: Slot): boolean {
  if (pathAt(subject.attendant, slot)?.some(({ type }) => type === 'ringOutside' || type === 'handOver')) return true;
  return rings.some(
    ({ slot: at, step, when }) =>
      slotKey(at) === slotKey(slot) &&
      when.some(({ closed }) =>
        closed.some((atMs) => someoneWorks(subject, step, [atMs]) && !desksOnly(subject, step, atMs)),
      ),
  );
}
