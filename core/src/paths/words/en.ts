import { showPhoneNumber } from '../../directory';
import { findSheet, type Attendant, type Names } from '../../line';
import { unreachable } from '../../result';
import type { PathDifference } from '../everyPath';
import type { StaffDoes } from '../leg';
import type { MomentKind } from '../momentKinds';
import type { RingTarget, Stretch, Turn, Way, WayEnd } from '../way';

/** The choice with which a way begins: "2 Repairs", "no key", "wrong keys". */
export function describeTurn(turn: Turn | null, attendant: Attendant): string {
  if (!turn) return 'The line answers';
  if (turn.type === 'silence') return 'no key';
  if (turn.type === 'wrongKey') return 'wrong keys';
  if (turn.type === 'exitKey') return `${turn.key} while waiting`;
  if (turn.type === 'queueFull') return 'queue full';
  const sheet = findSheet(attendant, turn.sheetId);
  const option = sheet?.type === 'menu' ? sheet.options.find(({ key }) => key === turn.key) : undefined;
  return `${turn.key} ${option?.label ?? ''}`.trim();
}

/** All choices that lead to the beginning of a way: "2, then 1". */
export function describeTurns(way: Way, ways: readonly Way[]): string {
  const parent = way.parent === null ? undefined : ways[way.parent];
  const own = way.turn ? `${'key' in way.turn ? 'key ' : ''}${describeTurn(way.turn, noSheets)}` : '';
  const before = parent ? describeTurns(parent, ways) : '';
  return before && own ? `${before}, then ${own}` : own || before;
}

/** The caller's choices by their keys: "2, then 1"; "nothing" where none is made. */
export function describeChoices(turns: readonly Turn[]): string {
  if (turns.length === 0) return 'nothing';
  return turns.reduce((said, turn) => {
    const choice = describeTurn(turn, noSheets);
    if (turn.type === 'queueFull') return `${said} (${choice})`.trim();
    return said === '' ? choice : `${said}, then ${choice}`;
  }, '');
}

/** A kind of moment by the name of what answers then. */
export function describeMoment({ slot, specialId, callerListId }: MomentKind, names: Names): string {
  if (callerListId) return `${names[callerListId] ?? 'Deleted list'}, at any hour`;
  if (specialId) return names[specialId] ?? 'Special date';
  switch (slot.type) {
    case 'period':
      return names[slot.periodId] ?? 'Deleted period';
    case 'special':
      return 'Special dates';
    case 'switch':
      return 'While the switch is on';
    default:
      return 'All other times';
  }
}

/** Where a way ends, with the box that a message is left in. */
export function describeWholeEnd(end: WayEnd, attendant: Attendant, names: Names): string {
  return end.type === 'message'
    ? `message in ${names[end.boxId] ?? 'a deleted box'}`
    : describeEnd(end, attendant, names);
}

export const staffWords: Readonly<Record<StaffDoes, string>> = {
  answers: 'somebody answers',
  noAnswer: 'nobody answers',
  busy: 'all are busy',
};

export const differenceWords: Readonly<Record<PathDifference, string>> = {
  new: 'new',
  gone: 'gone',
  ends: 'ends elsewhere',
  noPerson: 'reaches nobody any more',
  person: 'reaches somebody now',
  slower: 'slower',
  faster: 'faster',
};

const noSheets = { sheets: [] } as unknown as Attendant;

/** What a block stands for. */
export function describeStretch(stretch: Stretch, names: Names): string {
  switch (stretch.type) {
    case 'words':
      return stretch.text;
    case 'option':
      return `key ${stretch.key}`;
    case 'wait':
      return 'waits for a key';
    case 'digits':
      return 'presses digits';
    case 'ring':
      return describeTarget(stretch.target, names);
    case 'queue':
      return `waits in ${names[stretch.queueId] ?? 'a deleted queue'}`;
    case 'message':
      return names[stretch.boxId] ?? 'a deleted box';
    default:
      return unreachable(stretch);
  }
}

function describeTarget(target: RingTarget, names: Names): string {
  switch (target.type) {
    case 'person':
      return names[target.personId] ?? 'somebody deleted';
    case 'group':
      return names[target.groupId] ?? 'a deleted group';
    case 'outside':
      return (target.contactId && names[target.contactId]) || showPhoneNumber(target.number);
    case 'queue':
      return names[target.queueId] ?? 'a deleted queue';
    case 'anybody':
      return 'whoever is asked for';
    default:
      return unreachable(target);
  }
}

/** Where a way ends. */
export function describeEnd(end: WayEnd, attendant: Attendant, names: Names): string {
  switch (end.type) {
    case 'menu':
      return findSheet(attendant, end.sheetId)?.name ?? 'a deleted menu';
    case 'again':
      return `${findSheet(attendant, end.sheetId)?.name ?? 'a deleted menu'} again`;
    case 'message':
      return 'message';
    case 'hungUp':
      return 'hangs up';
    case 'talks':
      return `talks to ${describeTarget(end.target, names)}`;
    case 'handedOver':
      return `handed over to ${describeTarget(end.target, names)}`;
    case 'line':
      return `the line ${names[end.lineId] ?? 'that was deleted'}`;
    case 'forEver':
      return 'rings for ever';
    case 'ranOut':
      return 'cut off: no further step';
    case 'circle':
      return 'goes round in a circle';
    default:
      return unreachable(end);
  }
}
