import { sheetsReachedFrom, slotOfFallback, slotOfRule, usesOf, type Slot } from '../../line';
import type { Found, Rule } from '../rule';

/** A sheet that nothing leads to. */
export const unreached: Rule<'unreached'> = {
  name: 'unreached',
  grade: 'caution',
  consequence: 'office',
  find: ({ attendant }) => {
    const begins: readonly Slot[] = [
      ...attendant.answering.rules.map(slotOfRule),
      { type: 'otherwise' },
      ...attendant.fallbacks.map(slotOfFallback),
    ];
    const reached = sheetsReachedFrom(attendant, begins);
    return attendant.sheets
      .filter(({ id }) => !reached.has(id))
      .map(({ id }): Found => {
        const isFree = attendant.sheets.length > 1 && usesOf(attendant, id).length === 0;
        return { at: { type: 'sheet', sheetId: id }, ...(isFree && { fix: { type: 'removeSheet', sheetId: id } }) };
      });
  },
};
