import type { PeriodId } from '../hours';
import { unreachable } from '../result';
import type { Attendant } from './attendant';
import { findSheet } from './attendant';
import type { SheetId } from './ids';
import type { Key } from './key';
import type { Menu } from './sheet';
import type { Path } from './step';

/** A place in the attendant that holds a path. */
export type Slot =
  | { readonly type: 'period'; readonly periodId: PeriodId }
  | { readonly type: 'otherwise' }
  | { readonly type: 'key'; readonly sheetId: SheetId; readonly key: Key }
  | { readonly type: 'silence'; readonly sheetId: SheetId }
  | { readonly type: 'wrongKey'; readonly sheetId: SheetId }
  | { readonly type: 'after'; readonly sheetId: SheetId };

/** Every place of the attendant that holds a path: the answering order, then sheet by sheet. */
export function slotsOf(attendant: Attendant): readonly Slot[] {
  const answering: Slot[] = attendant.answering.rules.map(({ periodId }) => ({ type: 'period', periodId }));
  return [...answering, { type: 'otherwise' }, ...attendant.sheets.flatMap(slotsOfSheet)];
}

function slotsOfSheet(sheet: Attendant['sheets'][number]): Slot[] {
  const sheetId = sheet.id;
  if (sheet.type === 'announcement') return [{ type: 'after', sheetId }];
  const keys: Slot[] = sheet.options.map(({ key }) => ({ type: 'key', sheetId, key }));
  return [...keys, { type: 'silence', sheetId }, { type: 'wrongKey', sheetId }];
}

/** The path at a slot; undefined when the attendant has no such place. */
export function pathAt(attendant: Attendant, slot: Slot): Path | undefined {
  switch (slot.type) {
    case 'period':
      return attendant.answering.rules.find((rule) => rule.periodId === slot.periodId)?.path;
    case 'otherwise':
      return attendant.answering.otherwise;
    case 'key':
      return menuAt(attendant, slot.sheetId)?.options.find((option) => option.key === slot.key)?.path;
    case 'silence':
      return menuAt(attendant, slot.sheetId)?.silencePath;
    case 'wrongKey':
      return menuAt(attendant, slot.sheetId)?.wrongKeyPath;
    case 'after': {
      const sheet = findSheet(attendant, slot.sheetId);
      return sheet?.type === 'announcement' ? sheet.afterPath : undefined;
    }
    default:
      return unreachable(slot);
  }
}

/** The sheet a slot belongs to; undefined for the answering order. */
export function sheetOfSlot(slot: Slot): SheetId | undefined {
  return 'sheetId' in slot ? slot.sheetId : undefined;
}

function menuAt(attendant: Attendant, id: SheetId): Menu | undefined {
  const sheet = findSheet(attendant, id);
  return sheet?.type === 'menu' ? sheet : undefined;
}
