import { sheetOfSlot, type SheetId } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';

/** The sheet on which something was found; undefined for the answering order. */
export function findingSheet({ at }: Finding): SheetId | undefined {
  return at.type === 'sheet' ? at.sheetId : sheetOfSlot(at.slot);
}
