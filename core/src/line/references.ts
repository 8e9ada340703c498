import {
  personId,
  type BoxId,
  type CallerListId,
  type ContactId,
  type GroupId,
  type PersonId,
  type QueueId,
} from '../directory';
import type { PeriodId } from '../hours';
import { unreachable } from '../result';
import type { Attendant } from './attendant';
import type { GreetingId, LineId, NamedPathId, SheetId } from './ids';
import { idsInWords } from './pieces';
import { pathsOf, type Slot } from './slot';
import type { TakeId } from './take';
import type { Hearing, Outside, Path, Step } from './step';

/** Anything an attendant can refer to. */
export type ReferredId =
  | PersonId
  | BoxId
  | ContactId
  | CallerListId
  | GroupId
  | QueueId
  | GreetingId
  | SheetId
  | NamedPathId
  | PeriodId
  | LineId;

/** Where something is used: a step of a path, or a rule of the answering order. */
export type Use = { readonly slot: Slot; readonly stepIndex: number | null };

/** Every place of the attendant that refers to something. */
export function usesOf(attendant: Attendant, id: ReferredId): readonly Use[] {
  return pathsOf(attendant).flatMap(({ slot, path }): Use[] => {
    const isRule =
      (slot.type === 'period' && slot.periodId === id) || (slot.type === 'callers' && slot.callerListId === id);
    const steps = path.flatMap((step, stepIndex) => (refersTo(step).includes(id) ? [{ slot, stepIndex }] : []));
    return isRule ? [{ slot, stepIndex: null }, ...steps] : steps;
  });
}

/** Everything a step refers to. */
export function refersTo(step: Step): readonly ReferredId[] {
  switch (step.type) {
    case 'ring':
      return [step.personId, ...inHearing(step.hear), ...inWords(step.before)];
    case 'ringOutside':
      return [...inOutside(step.to), ...inHearing(step.hear), ...inWords(step.before)];
    case 'ringGroup':
      return [step.groupId, ...inHearing(step.hear), ...inWords(step.before)];
    case 'waitInQueue':
      return [step.queueId];
    case 'handOver':
      return [...inOutside(step.to), ...inWords(step.before)];
    case 'toLine':
      return [step.lineId];
    case 'takeMessage':
      return [step.boxId, ...(step.tell ?? []).map(({ personId }) => personId)];
    case 'goTo':
      return [step.sheetId];
    case 'followPath':
      return [step.pathId];
    case 'say':
      return step.spoken.type === 'greeting' ? [step.spoken.greetingId] : inWords(step.spoken.words);
    case 'hangUp':
      return inWords(step.words);
    case 'back':
    case 'sayAgain':
    case 'searchByName':
    case 'askExtension':
    case 'record':
      return [];
    default:
      return unreachable(step);
  }
}

/** People of whom live parts speak. */
function inWords(words: string): readonly PersonId[] {
  return words === '' ? [] : idsInWords(words).filter((id): id is PersonId => personId.is(id));
}

function inOutside(to: Outside): readonly ContactId[] {
  return to.type === 'contact' ? [to.contactId] : [];
}

function inHearing(hear: Hearing): readonly GreetingId[] {
  return hear.type === 'greeting' ? [hear.greetingId] : [];
}

/** A path in which everything that referred to one thing refers to another of its kind. */
export function replacedInPath(path: Path, from: ReferredId, to: ReferredId): Path {
  return path.some((step) => refersTo(step).includes(from)) ? path.map((step) => replaced(step, from, to)) : path;
}

/** Ids are told apart by their kind, so exchanging the text wherever a value is exactly that id is exact. */
function replaced<Value>(value: Value, from: ReferredId, to: ReferredId): Value {
  if (value === (from as unknown)) return to as Value;
  // Live parts name it at the end of their braces.
  if (typeof value === 'string') return value.replaceAll(` ${from}}`, ` ${to}}`) as Value;
  if (Array.isArray(value)) return value.map((each: unknown) => replaced(each, from, to)) as Value;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, replaced(each, from, to)])) as Value;
}

/** The ids of the library greetings that the attendant's steps say. */
export function greetingsUsed(attendant: Attendant): ReadonlySet<GreetingId> {
  const found = new Set<GreetingId>();
  for (const { path } of pathsOf(attendant)) {
    for (const step of path) {
      if (step.type === 'say' && step.spoken.type === 'greeting') found.add(step.spoken.greetingId);
      if ('hear' in step && step.hear.type === 'greeting') found.add(step.hear.greetingId);
    }
  }
  return found;
}

/** The recordings that the attendant's sheets may be heard from, those that the voice stands in for among them. */
export function takesUsed(attendant: Attendant): ReadonlySet<TakeId> {
  const uses = attendant.sheets.flatMap((sheet) => [
    ...Object.values(sheet.takes),
    ...(sheet.type === 'menu' ? sheet.options.map(({ take }) => take) : []),
  ]);
  return new Set(uses.flatMap((use) => (use ? [use.takeId] : [])));
}
