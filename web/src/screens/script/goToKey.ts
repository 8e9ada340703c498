import type { Key, SheetId } from '@locutor/core/line';

/** The id of the field that holds what a key is for. */
export const keyFieldId = (sheetId: SheetId, key: Key): string => `${sheetId} key ${key}`.replace(/\s/g, '-');

/** Brings a key's row into view and puts the cursor into it. */
export function goToKey(sheetId: SheetId, key: Key): void {
  const field = document.getElementById(keyFieldId(sheetId, key));
  field?.scrollIntoView({ block: 'center' });
  field?.focus();
}
