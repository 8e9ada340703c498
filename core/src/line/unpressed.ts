import type { SheetId } from './ids';
import type { Key } from './key';

/** Keys of what is on air, read out to everybody, that nobody pressed for so long. */
export interface Unpressed {
  /** For how many days what is on air has been looked at. */
  readonly days: number;
  readonly keys: readonly { readonly sheetId: SheetId; readonly key: Key }[];
}
