import {
  boxId,
  groupId,
  personId,
  queueId,
  type BoxId,
  type ContactId,
  type GroupId,
  type QueueId,
} from '../directory';
import type { IdKind, Id } from '../id';
import { unreachable } from '../result';
import { lineId, namedPathId, sheetId, type LineId, type NamedPathId, type SheetId } from './ids';
import { defaultRingSeconds, messageDefaults, ringDefaults, type Outside, type Step, type StepType } from './step';
import { unchosen } from './unchosen';

/** What a new step stands among. */
export interface Around {
  /** The step whose place it takes: what of it fits is kept. Null where it is added. */
  readonly instead: Step | null;
  /** Steps of the same place and of what is around it, the nearest first. */
  readonly near: readonly Step[];
  /** Whatever there is to lead to. */
  readonly there: {
    readonly groups: readonly GroupId[];
    readonly queues: readonly QueueId[];
    readonly boxes: readonly BoxId[];
    readonly contacts: readonly ContactId[];
    readonly lines: readonly LineId[];
    readonly sheets: readonly SheetId[];
    readonly paths: readonly NamedPathId[];
  };
}

/**
 * Makes a step of a type. What it leads to is what the step before it in this place led to, where that fits; a box is
 * the one used nearest by; anything else is left to be chosen, unless there is only one to choose from.
 */
export function newStep(type: StepType, { instead, near, there }: Around): Step {
  switch (type) {
    case 'ring':
      return { type, personId: unchosen(personId), ...ringingOf(instead) };
    case 'ringOperator':
      return { type, ...ringingOf(instead) };
    case 'ringGroup':
      return { type, groupId: onlyOne(there.groups, groupId), ...ringingOf(instead), seconds: null };
    case 'waitInQueue':
      return { type, queueId: onlyOne(there.queues, queueId) };
    case 'ringOutside':
      return { type, to: outsideOf(instead, there.contacts), accept: true, ...ringingOf(instead) };
    case 'handOver':
      return { type, to: outsideOf(instead, there.contacts), before: ringingOf(instead).before };
    case 'toLine':
      return { type, lineId: onlyOne(there.lines, lineId) };
    case 'say':
      return { type, spoken: { type: 'typed', words: instead?.type === 'hangUp' ? instead.words : '' } };
    case 'takeMessage':
      return { type, boxId: nearestBox(near, there.boxes), ...messageDefaults };
    case 'goTo':
      return { type, sheetId: onlyOne(there.sheets, sheetId) };
    case 'followPath':
      return { type, pathId: onlyOne(there.paths, namedPathId) };
    case 'back':
    case 'sayAgain':
      return { type };
    case 'searchByName':
      return { type, by: 'lastName', seconds: secondsOf(instead) };
    case 'askExtension':
      return { type, seconds: secondsOf(instead) };
    case 'record':
      return { type, on: true, tells: true };
    case 'hangUp': {
      const said = instead?.type === 'say' && instead.spoken.type === 'typed' ? instead.spoken.words : '';
      return { type, words: said || 'Goodbye.' };
    }
    default:
      return unreachable(type);
  }
}

function onlyOne<Kind extends string>(ids: readonly Id<Kind>[], kind: IdKind<Kind>): Id<Kind> {
  const [only, ...others] = ids;
  return only !== undefined && others.length === 0 ? only : unchosen(kind);
}

function nearestBox(near: readonly Step[], boxes: readonly BoxId[]): BoxId {
  const used = near.flatMap((step) => (step.type === 'takeMessage' ? [step.boxId] : []));
  return used.find((id) => boxes.includes(id)) ?? onlyOne(boxes, boxId);
}

/** How long it rings and what is heard meanwhile, of any step that rings; what is said before, of any that says something. */
function ringingOf(step: Step | null) {
  const seconds = step && 'seconds' in step ? step.seconds : ringDefaults.seconds;
  return {
    seconds: seconds ?? ringDefaults.seconds,
    before: step && 'before' in step ? step.before : ringDefaults.before,
    hear: step && 'hear' in step ? step.hear : ringDefaults.hear,
  };
}

function secondsOf(step: Step | null): number {
  return step && 'seconds' in step ? (step.seconds ?? defaultRingSeconds) : defaultRingSeconds;
}

function outsideOf(step: Step | null, contacts: readonly ContactId[]): Outside {
  if (step && 'to' in step) return step.to;
  const [only, ...others] = contacts;
  return only !== undefined && others.length === 0
    ? { type: 'contact', contactId: only }
    : { type: 'number', number: '' };
}
