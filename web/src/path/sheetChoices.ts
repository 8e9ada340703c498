import type { Attendant } from '@locutor/core/line';
import type { Choice } from '../parts/InlineSelect';
import { asChoices } from './asChoices';

let last: readonly Choice[] = [];

/** The sheets to choose from; the same list as long as no sheet comes, goes or is renamed, whatever is typed in them. */
export function sheetChoicesOf({ sheets }: Attendant): readonly Choice[] {
  const isSame =
    sheets.length === last.length &&
    sheets.every(({ id, name }, index) => last[index]?.value === id && last[index].label === name);
  if (!isSame) last = asChoices(sheets);
  return last;
}
