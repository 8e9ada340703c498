import {
  pathGraph,
  reachedIn,
  sheetOfSlot,
  slotOfFallback,
  slotOfRule,
  type Attendant,
  type PathGraph,
  type Sheet,
  type Slot,
} from '../line';
import { statesSaid } from './reading/stateSaid';
import { remember } from './remember';
import type { ProofSubject } from './rule';
import { textsOfSheet } from './spokenTexts';

/** The sheets that nothing leads to, not even the switch. */
export function unreachedSheets({ attendant, switched }: ProofSubject): readonly Sheet[] {
  const bySwitch = switched?.to.type === 'sheet' ? switched.to.sheetId : null;
  const reached = reachedSheets(pathGraph(attendant), attendant.fallbacks, attendant.answering.rules);
  return attendant.sheets.filter(({ id }) => !reached.has(id) && id !== bySwitch);
}

const reachedSheets = remember(
  (graph: PathGraph, fallbacks: Attendant['fallbacks'], rules: Attendant['answering']['rules']) => {
    const begins: readonly Slot[] = [...rules.map(slotOfRule), { type: 'otherwise' }, ...fallbacks.map(slotOfFallback)];
    return new Set(reachedIn(graph, begins).flatMap(({ slot }) => sheetOfSlot(slot) ?? []));
  },
);

/** Whether a sheet says that the business is closed now. */
export function saysClosed(sheet: Sheet, { voice }: Attendant): boolean {
  return textsOfSheet(sheet, voice).some((text) =>
    statesSaid(text.words, text.voice).some(({ state, days }) => state === 'closed' && days.length === 0),
  );
}
