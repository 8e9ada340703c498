import { describeSlot, findSheet, ownVoicemailSeconds, type Attendant, type Names } from '../../line';
import { unreachable } from '../../result';
import type { Finding } from '../proof';
import type { FindingPlace } from '../rule';

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
    case 'nobodyThere':
      return `${where} leads to a group or queue with nobody in it.`;
    case 'longWait':
      return `${where} lets callers wait longer than four minutes.`;
    case 'noWayOut':
      return `${where} leads to a queue that callers can leave only by hanging up.`;
    case 'recordsUntold':
      return `${where} records the call without telling the caller.`;
    case 'noFallback':
      return at.type === 'path' && at.slot.type === 'silence'
        ? `${where} is missing: a caller who presses nothing reaches nobody.`
        : `${where} is missing: a caller who presses the wrong key reaches nobody.`;
    case 'noWords':
      return `${where} says nothing: the caller hears silence.`;
    case 'circle':
      return `${where} comes round to itself: a caller who presses nothing never gets out.`;
    case 'pathInItself':
      return `${where} follows itself and never ends.`;
    case 'notANumber':
      return `${where} calls something that is not a telephone number.`;
    case 'ownNumber':
      return `${where} calls this line’s own number.`;
    case 'outOfService':
      return `${where} calls a number that is not in service today.`;
    case 'ringsForEver':
      return `${where} rings with no limit: no step after that can ever run.`;
    case 'ownVoicemail':
      return `${where} rings an outside phone so long that its own voicemail may answer.`;
    case 'keyIsFirstDigit':
      return `${where} is also the first digit of extensions: who presses it waits ${waitSecondsAt(at, attendant)} s.`;
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
    case 'nobodyThere':
      return 'Add members to it in the Directory, or choose another.';
    case 'longWait':
      return 'Shorten its longest wait in the Directory.';
    case 'noWayOut':
      return 'Give it a key that leaves it, in the Directory.';
    case 'recordsUntold':
      return 'Let the step tell the caller, unless other words do.';
    case 'noFallback':
      return 'Add a step that reaches somebody.';
    case 'noWords':
      return 'Type its words.';
    case 'circle':
      return 'Let the path for callers who press nothing ring somebody, take a message or hang up.';
    case 'pathInItself':
      return 'Choose something else in that step.';
    case 'notANumber':
      return 'Type it with its country, such as +1 207 555 0140.';
    case 'ownNumber':
      return 'Choose another number, or go to a sheet instead.';
    case 'outOfService':
      return 'Change its dates in the Directory, or choose another number.';
    case 'ringsForEver':
      return 'Give it a number of seconds.';
    case 'ownVoicemail':
      return `Let it ring less than ${ownVoicemailSeconds} s, or let them press 1 to accept.`;
    case 'keyIsFirstDigit':
      return 'Move the key, or give extensions another first digit in the Directory.';
    default:
      return unreachable(rule);
  }
}

function waitSecondsAt(at: FindingPlace, attendant: Attendant): number {
  const sheetId = at.type === 'path' && 'sheetId' in at.slot ? at.slot.sheetId : undefined;
  const sheet = sheetId && findSheet(attendant, sheetId);
  return sheet && sheet.type === 'menu' ? (sheet.extensions?.waitSeconds ?? 0) : 0;
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
