import type { Attendant, Unpressed } from '../line';
import type { SheetPresses } from './pressed';

/** Longer ago than this tells little of today. */
export const mostUnpressedDays = 91;
/** A shorter time tells nothing. */
export const leastUnpressedDays = 28;
/** Of fewer visitors to a menu nobody may have wanted a key by chance: one in twenty would be missed in two of a hundred cases. */
const leastVisits = 80;

/** @param presses of these days, since what is on air went there */
export function unpressedKeys(attendant: Attendant, presses: readonly SheetPresses[], days: number): Unpressed {
  if (days < leastUnpressedDays) return { days, keys: [] };
  const keys = attendant.sheets.flatMap((sheet) => {
    const of = presses.find(({ sheetId }) => sheetId === sheet.id);
    if (sheet.type !== 'menu' || !of || of.visits < leastVisits) return [];
    const pressed = new Set<string>(of.choices.map(({ choice }) => choice));
    return sheet.options
      .filter(({ key, readOut }) => readOut && !pressed.has(key))
      .map(({ key }) => ({ sheetId: sheet.id, key }));
  });
  return { days, keys };
}
