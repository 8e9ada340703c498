import type { Attendant, Edit, SheetId } from '../../line';
import { pathFix } from '../mend';
import type { ProofSubject, Rule } from '../rule';
import { sheetWithoutKey } from '../withoutKey';

/** Sheets that lead to one another without a key between them, and without anybody being rung on the way. */
export const circle: Rule<'circle'> = {
  name: 'circle',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const { attendant } = subject;
    const next = new Map(attendant.sheets.map((sheet) => [sheet.id, nextWithoutKey(attendant, sheet.id)]));
    return attendant.sheets
      .filter(({ id }) => comesBack(next, id))
      .map(({ id }) => ({ at: { type: 'sheet', sheetId: id }, ...fixFor(subject, id) }));
  },
};

function comesBack(next: ReadonlyMap<SheetId, SheetId | undefined>, from: SheetId): boolean {
  let at = next.get(from);
  for (let turns = 0; at !== undefined && turns <= next.size; turns += 1) {
    if (at === from) return true;
    at = next.get(at);
  }
  return false;
}

/** Where a caller who presses nothing is led from a sheet without reaching anybody. */
function nextWithoutKey(attendant: Attendant, sheetId: SheetId): SheetId | undefined {
  const sheet = attendant.sheets.find(({ id }) => id === sheetId);
  if (!sheet) return undefined;
  return sheetWithoutKey(attendant, sheet.type === 'menu' ? sheet.silencePath : sheet.afterPath, sheetId);
}

function fixFor(subject: ProofSubject, sheetId: SheetId): { readonly fix?: Edit } {
  const sheet = subject.attendant.sheets.find(({ id }) => id === sheetId);
  if (!sheet) return {};
  return pathFix(subject, { type: sheet.type === 'menu' ? 'silence' : 'after', sheetId }, []);
}
