import { sheetOfSlot, type Slot } from '@locutor/core/line';

/** The address of the place where a path is written. */
export function slotLink(slot: Slot): string {
  switch (slot.type) {
    case 'named':
      return `/script/${slot.pathId}`;
    case 'key':
      return `/script/${slot.sheetId}?key=${encodeURIComponent(slot.key)}`;
    case 'group':
    case 'groupClosed':
      return `/directory/groups/${slot.groupId}`;
    case 'queue':
      return `/directory/queues/${slot.queueId}`;
    default: {
      const sheetId = sheetOfSlot(slot);
      return sheetId ? `/script/${sheetId}` : '/hours';
    }
  }
}
