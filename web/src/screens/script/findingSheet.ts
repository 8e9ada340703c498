import { sheetOfSlot, slotKey, type SheetId, type Slot } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { slotLink } from '../../path/slotLink';

/** The sheet on which something was found; undefined for what is on none. */
export function findingSheet({ at }: Finding): SheetId | undefined {
  if (at.type === 'sheet') return at.sheetId;
  return at.type === 'path' ? sheetOfSlot(at.slot) : undefined;
}

/** Whether something was found in a path, or anywhere in it. */
export function isAtSlot({ at }: Finding, slot: Slot): boolean {
  return at.type === 'path' && slotKey(at.slot) === slotKey(slot);
}

/** The address of the place where something can be mended. */
export function findingLink({ at }: Pick<Finding, 'at'>): string {
  switch (at.type) {
    case 'sheet':
      return `/script/${at.sheetId}`;
    case 'path':
      return slotLink(at.slot);
    case 'line':
      return '/lines';
    case 'switch':
      return '/today';
    case 'hours':
      return '/hours';
    case 'row':
      return rowLink(at.id);
  }
}

const lists: Readonly<Record<string, string>> = {
  person: '/directory/people',
  group: '/directory/groups',
  queue: '/directory/queues',
  box: '/directory/boxes',
  greeting: '/greetings',
};

function rowLink(id: string): string {
  return `${lists[id.split(':')[0] ?? ''] ?? '/directory'}/${id}`;
}
