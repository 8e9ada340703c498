import { pathAt, slotKey } from '../../line';
import { aloneWay } from '../alone';
import { callsOf } from '../calls';
import { pathFix } from '../mend';
import { atSlot, type Found, type Rule } from '../rule';

/** Callers who press nothing, or only wrong keys, and are rung for again and again until somebody picks up or they give up. */
export const roundRinging: Rule<'roundRinging'> = {
  name: 'roundRinging',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => {
    const found = new Map<string, Found>();
    for (const { reach, slot: answering } of callsOf(subject).answered) {
      for (const helpless of ['silence', 'wrongKey'] as const) {
        const { slot, round } = aloneWay(reach, helpless, answering);
        const key = slotKey(slot);
        if (found.has(key) || !round.some(({ rings }) => rings)) continue;
        const path = pathAt(subject.attendant, slot) ?? [];
        found.set(key, { at: atSlot(slot), facts: { helpless }, ...pathFix(subject, slot, path.slice(0, -1)) });
      }
    }
    return [...found.values()];
  },
};
