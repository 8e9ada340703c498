import { sheetOfSlot, type SheetId } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';

/** The sheet on which something was found; undefined for the answering order and for named paths. */
export function findingSheet({ at }: Finding): SheetId | undefined {
  return at.type === 'sheet' ? at.sheetId : sheetOfSlot(at.slot);
}

/** The address of the place where something can be mended. */
export function findingLink(finding: Finding): string {
  const { at } = finding;
  if (at.type === 'path' && at.slot.type === 'named') return `/script/${at.slot.pathId}`;
  const sheetId = findingSheet(finding);
  const key = at.type === 'path' && at.slot.type === 'key' ? `?key=${encodeURIComponent(at.slot.key)}` : '';
  return sheetId ? `/script/${sheetId}${key}` : '/hours';
}
