import type Database from 'better-sqlite3';
import type { Attendant } from '@locutor/core/line';
import type { SheetThen } from '@locutor/core/traffic';

/** What sheets and keys of versions were called, each version read when it is first asked for. */
export function sheetsThen(connection: Database.Database): SheetThen {
  const known = new Map<string, Attendant | null>();
  const versions = connection.prepare<[string], { attendant: string }>(
    'SELECT "attendant" FROM "version" WHERE "id" = ?',
  );
  const attendantOf = (versionId: string): Attendant | null => {
    let attendant = known.get(versionId);
    if (attendant === undefined) {
      const row = versions.get(versionId);
      known.set(versionId, (attendant = row ? (JSON.parse(row.attendant) as Attendant) : null));
    }
    return attendant;
  };
  return (versionId, sheetId) => {
    const sheet = versionId ? attendantOf(versionId)?.sheets.find(({ id }) => id === sheetId) : undefined;
    if (!sheet) return undefined;
    const options = sheet.type === 'menu' ? sheet.options : [];
    return { name: sheet.name, labelOf: (key) => options.find((option) => option.key === key)?.label };
  };
}
