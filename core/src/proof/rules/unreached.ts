import {
  pathGraph,
  reachedIn,
  sheetOfSlot,
  slotOfFallback,
  slotOfRule,
  usesOf,
  type Attendant,
  type PathGraph,
  type Slot,
} from '../../line';
import { remember } from '../remember';
import type { Found, Rule } from '../rule';

/** A sheet that nothing leads to, not even the switch. */
export const unreached: Rule<'unreached'> = {
  name: 'unreached',
  grade: 'caution',
  consequence: 'office',
  find: ({ attendant, switched }) => {
    const bySwitch = switched?.to.type === 'sheet' ? switched.to.sheetId : null;
    const reached = reachedSheets(pathGraph(attendant), attendant.fallbacks, attendant.answering.rules);
    return attendant.sheets
      .filter(({ id }) => !reached.has(id) && id !== bySwitch)
      .map(({ id }): Found => {
        const isFree = attendant.sheets.length > 1 && usesOf(attendant, id).length === 0;
        return { at: { type: 'sheet', sheetId: id }, ...(isFree && { fix: { type: 'removeSheet', sheetId: id } }) };
      });
  },
};

const reachedSheets = remember(
  (graph: PathGraph, fallbacks: Attendant['fallbacks'], rules: Attendant['answering']['rules']) => {
    const begins: readonly Slot[] = [...rules.map(slotOfRule), { type: 'otherwise' }, ...fallbacks.map(slotOfFallback)];
    return new Set(reachedIn(graph, begins).flatMap(({ slot }) => sheetOfSlot(slot) ?? []));
  },
);
