import type { Key } from '@locutor/core/line';

/** The id of the field that holds what a key is for. */
export const keyFieldId = (key: Key): string => `key-${key}`;

/** Brings a key's row into view and puts the cursor into it. */
export function goToKey(key: Key): void {
  const field = document.getElementById(keyFieldId(key));
  field?.scrollIntoView({ block: 'center' });
  field?.focus();
}
