import { findNamedPath, type Attendant, type NamedPathId, type Path, type SheetId } from '../../line';
import type { Rule } from '../rule';

/** Sheets that lead to one another without a key between them, and without anybody being rung on the way. */
export const circle: Rule<'circle'> = {
  name: 'circle',
  grade: 'fault',
  find: ({ attendant }) => {
    const next = new Map(attendant.sheets.map((sheet) => [sheet.id, nextWithoutKey(attendant, sheet.id)]));
    return attendant.sheets
      .filter(({ id }) => comesBack(next, id))
      .map(({ id }) => ({ at: { type: 'sheet', sheetId: id } }));
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
  return firstSheet(attendant, sheet.type === 'menu' ? sheet.silencePath : sheet.afterPath, sheetId, []);
}

function firstSheet(
  attendant: Attendant,
  path: Path,
  here: SheetId,
  following: readonly NamedPathId[],
): SheetId | undefined {
  for (const step of path) {
    if (step.type === 'goTo') return step.sheetId;
    if (step.type === 'sayAgain') return here;
    if (step.type === 'say' || step.type === 'record') continue;
    if (step.type !== 'followPath' || following.includes(step.pathId)) return undefined;
    const steps = findNamedPath(attendant, step.pathId)?.steps ?? [];
    const found = firstSheet(attendant, steps, here, [...following, step.pathId]);
    if (found) return found;
  }
  return undefined;
}
