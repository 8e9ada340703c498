import { describeSlot, findSheet, type Attendant, type Names } from '../../line';
import { unreachable } from '../../result';
import type { Finding } from '../proof';

/** What is wrong, for the manager. */
export function describeFinding({ rule, at }: Finding, attendant: Attendant, names: Names): string {
  const where =
    at.type === 'sheet'
      ? (findSheet(attendant, at.sheetId)?.name ?? 'A sheet')
      : capitalise(describeSlot(at.slot, attendant, names));
  switch (rule) {
    case 'pathEmpty':
      return `${where} leads nowhere.`;
    case 'pathStops':
      return `${where} stops: if nobody picks up, the caller is cut off.`;
    case 'toDeleted':
      return `${where} leads to something that was deleted.`;
    case 'noFallback':
      return at.type === 'path' && at.slot.type === 'silence'
        ? `${where} is missing: a caller who presses nothing reaches nobody.`
        : `${where} is missing: a caller who presses the wrong key reaches nobody.`;
    case 'noWords':
      return `${where} says nothing: the caller hears silence.`;
    default:
      return unreachable(rule);
  }
}

/** What to do about it. */
export function adviseOn({ rule }: Finding): string {
  switch (rule) {
    case 'pathEmpty':
      return 'Add a step.';
    case 'pathStops':
      return 'Add a last step, such as taking a message.';
    case 'toDeleted':
      return 'Choose something else in that step, or remove it.';
    case 'noFallback':
      return 'Add a step that reaches somebody.';
    case 'noWords':
      return 'Type its words.';
    default:
      return unreachable(rule);
  }
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
