import { findNamedPath, type Attendant, type NamedPathId, type Path, type SheetId } from '../line';

/** The sheet that a path leads to without a key being pressed and without anybody being rung on the way. */
export function sheetWithoutKey(
  attendant: Attendant,
  path: Path,
  here: SheetId,
  following: readonly NamedPathId[] = [],
): SheetId | undefined {
  for (const step of path) {
    if (step.type === 'goTo') return step.sheetId;
    if (step.type === 'sayAgain') return here;
    if (step.type === 'back') return menuBefore(attendant, here);
    if (step.type === 'say' || step.type === 'record') continue;
    if (step.type !== 'followPath' || following.includes(step.pathId)) return undefined;
    const steps = findNamedPath(attendant, step.pathId)?.steps ?? [];
    const found = sheetWithoutKey(attendant, steps, here, [...following, step.pathId]);
    if (found) return found;
  }
  return undefined;
}

/** The menu from which a caller usually comes to a sheet: the first with a key that leads there. */
function menuBefore({ sheets }: Attendant, here: SheetId): SheetId | undefined {
  return sheets.find(
    (sheet) =>
      sheet.type === 'menu' &&
      sheet.options.some(({ path }) => path.some((step) => step.type === 'goTo' && step.sheetId === here)),
  )?.id;
}
