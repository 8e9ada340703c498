import type { SheetId } from './ids';
import { replacedInPath } from './references';
import type { Sheet } from './sheet';
import type { Path } from './step';

/** The same sheet once more under another id; its steps that went to the sheet itself go to the copy. */
export function copyOfSheet(sheet: Sheet, id: SheetId, name: string): Sheet {
  const own = (path: Path): Path => replacedInPath(path, sheet.id, id);
  if (sheet.type === 'announcement') return { ...sheet, id, name, afterPath: own(sheet.afterPath) };
  return {
    ...sheet,
    id,
    name,
    options: sheet.options.map((option) => ({ ...option, path: own(option.path) })),
    silencePath: own(sheet.silencePath),
    wrongKeyPath: own(sheet.wrongKeyPath),
  };
}
