import type { Attendant } from '@locutor/core/line';
import { sheetChoicesOf } from '../path/sheetChoices';

let last: { readonly attendant: Attendant; readonly names: ReturnType<typeof sheetChoicesOf> } | null = null;

/** An attendant that answers the same under the same names: another one only when these change, not when words do. */
export function answeringPartOf(attendant: Attendant): Attendant {
  const names = sheetChoicesOf(attendant);
  const isSame =
    last?.names === names &&
    last.attendant.answering === attendant.answering &&
    last.attendant.paths === attendant.paths;
  if (!last || !isSame) last = { attendant, names };
  return last.attendant;
}
