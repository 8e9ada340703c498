import type { Attendant } from '../attendant';
import { replacedInPath, replacedInSheet, usesOf } from '../references';
import { pathAt, type Slot } from '../slot';
import type { ReplaceEverywhere } from './edit';
import { setPath } from './setPath';

/**
 * Lets every step that refers to one thing refer to another of its kind: the colleague who left, the box that is closed.
 * Rules of the answering order stay: a period or a list is what they are about.
 */
export function replaceEverywhere(attendant: Attendant, { from, to }: ReplaceEverywhere): Attendant {
  const uses = usesOf(attendant, from);
  const slots = uses.flatMap((use): Slot[] => ('slot' in use && use.stepIndex !== null ? [use.slot] : []));
  const inSheets = new Set(uses.flatMap((use) => ('sheetId' in use ? [use.sheetId] : [])));
  const sheets = attendant.sheets.map((sheet) => (inSheets.has(sheet.id) ? replacedInSheet(sheet, from, to) : sheet));
  return slots.reduce(
    (changed, slot) =>
      setPath(changed, { type: 'setPath', slot, path: replacedInPath(pathAt(changed, slot) ?? [], from, to) }),
    inSheets.size > 0 ? { ...attendant, sheets } : attendant,
  );
}
