import type { QueueReason } from '@locutor/core/directory';
import {
  findNamedPath,
  findSheet,
  sheetOfSlot,
  type Attendant,
  type Names,
  type Slot,
  type Use,
} from '@locutor/core/line';

/** Uses gathered by sheet: "Welcome: key 0, silence; After hours: key 2". */
export function usesInWords(uses: readonly Use[], attendant: Attendant, names: Names): string {
  const places = new Map<string, Set<string>>();
  for (const use of uses) {
    const sheetId = 'slot' in use ? sheetOfSlot(use.slot) : use.sheetId;
    const sheet = sheetId
      ? (findSheet(attendant, sheetId)?.name ?? 'a deleted sheet')
      : 'slot' in use
        ? placeName(use.slot, attendant, names)
        : '';
    const within = 'slot' in use ? placeInSheet(use.slot, names) : 'its words';
    places.set(sheet, (places.get(sheet) ?? new Set()).add(within));
  }
  return [...places].map(([sheet, within]) => `${sheet}: ${[...within].join(', ')}`).join('; ');
}

function placeName(slot: Slot, attendant: Attendant, names: Names): string {
  switch (slot.type) {
    case 'named':
      return `The path ${findNamedPath(attendant, slot.pathId)?.name ?? ''}`;
    case 'group':
    case 'groupClosed':
      return names[slot.groupId] ?? 'a deleted group';
    case 'queue':
      return names[slot.queueId] ?? 'a deleted queue';
    default:
      return 'Hours';
  }
}

function placeInSheet(slot: Slot, names: Names): string {
  switch (slot.type) {
    case 'key':
      return `key ${slot.key}`;
    case 'silence':
      return 'silence';
    case 'wrongKey':
      return 'wrong keys';
    case 'after':
      return 'at its end';
    case 'period':
      return `during ${names[slot.periodId] ?? 'a deleted period'}`;
    case 'callers':
      return `for ${names[slot.callerListId] ?? 'a deleted list'}`;
    case 'special':
      return slot.specialId ? `on ${names[slot.specialId] ?? 'a deleted date'}` : 'on special dates';
    case 'otherwise':
      return 'at all other times';
    case 'group':
      return 'when nobody answers';
    case 'groupClosed':
    case 'queue':
      return reasonWords[slot.reason];
    case 'switch':
      return 'by the switch';
    case 'named':
      return 'in it';
  }
}

/** Why a queue lets a caller go. */
const reasonWords: Readonly<Record<QueueReason, string>> = {
  full: 'when it is full',
  tooLong: 'when the wait is too long',
  nobodyWorking: 'when nobody is working',
  closed: 'outside its hours',
  special: 'on special dates',
  exitKey: 'when they press the key that leaves it',
};
