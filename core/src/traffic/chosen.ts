import type { TranscriptEntry } from '../call';
import type { Key, SheetId } from '../line';

/** What a sheet was called, and what a key of it was for, in a version; undefined where that is not known any more. */
export type SheetThen = (
  versionId: string | null,
  sheetId: SheetId,
) => { readonly name: string; readonly labelOf: (key: Key) => string | undefined } | undefined;

/** What the keys were for that a caller pressed and that were of use, in order. */
export function chosenIn(
  { versionId, transcript }: { readonly versionId: string | null; readonly transcript: readonly TranscriptEntry[] },
  sheetOf: SheetThen,
): readonly string[] {
  const said: string[] = [];
  let sheetId: SheetId | null = null;
  for (const entry of transcript) {
    if (entry.type === 'sheet') ({ sheetId } = entry);
    if (entry.type !== 'key' || entry.use !== 'option' || !sheetId) continue;
    const label = sheetOf(versionId, sheetId)?.labelOf(entry.key);
    if (label) said.push(label);
  }
  return said;
}
