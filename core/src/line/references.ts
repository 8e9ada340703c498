import type { BoxId, CallerListId, ContactId, GroupId, PersonId, QueueId } from '../directory';
import type { HoursId, PeriodId, SpecialDateId } from '../hours';
import { unreachable } from '../result';
import type { Attendant } from './attendant';
import type { GreetingId, LineId, NamedPathId, SheetId } from './ids';
import { idsInWords } from './pieces';
import { pathsOf, type Slot } from './slot';
import type { TakeId } from './take';
import type { Sheet } from './sheet';
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
  | HoursId
  | SpecialDateId
  | LineId;

/** Where something is used: a step of a path, a rule of the answering order, or the words of a sheet. */
export type Use = { readonly slot: Slot; readonly stepIndex: number | null } | { readonly sheetId: SheetId };

/** Every place of the attendant that refers to something. */
export function usesOf(attendant: Attendant, id: ReferredId): readonly Use[] {
  return allUses(attendant).get(id) ?? noUses;
}

const noUses: readonly Use[] = [];
const known = new WeakMap<Attendant, ReadonlyMap<ReferredId, readonly Use[]>>();

/** Everything that an attendant refers to, each with every place that does. */
export function allUses(attendant: Attendant): ReadonlyMap<ReferredId, readonly Use[]> {
  const found = known.get(attendant) ?? findUses(attendant);
  known.set(attendant, found);
  return found;
}

function findUses(attendant: Attendant): ReadonlyMap<ReferredId, readonly Use[]> {
  const found = new Map<ReferredId, Use[]>();
  const add = (ids: readonly ReferredId[], use: Use): void => {
    for (const id of new Set(ids)) {
      const uses = found.get(id);
      if (uses) uses.push(use);
      else found.set(id, [use]);
    }
  };
  for (const sheet of attendant.sheets) {
    add(wordsOf(sheet).flatMap(idsInWords), { sheetId: sheet.id });
  }
  for (const { slot, path } of pathsOf(attendant)) {
    add(namedBy(slot), { slot, stepIndex: null });
    path.forEach((step, stepIndex) => add(refersTo(step), { slot, stepIndex }));
  }
  return found;
}

/** What a rule of the answering order is about. */
function namedBy(slot: Slot): readonly ReferredId[] {
  if (slot.type === 'period') return [slot.periodId];
  if (slot.type === 'callers') return [slot.callerListId];
  return slot.type === 'special' && slot.specialId !== null ? [slot.specialId] : [];
}

/** The words of a sheet itself, in which live parts can stand. */
function wordsOf(sheet: Sheet): readonly string[] {
  if (sheet.type === 'announcement') return [sheet.words];
  return [sheet.openingWords, sheet.closingWords, sheet.silenceWords, sheet.wrongKeyWords];
}

/** A sheet whose own words speak of another person or other hours than before. */
export function replacedInSheet(sheet: Sheet, from: ReferredId, to: ReferredId): Sheet {
  const words = (text: string): string => replacedInWords(text, from, to);
  if (sheet.type === 'announcement') return { ...sheet, words: words(sheet.words) };
  return {
    ...sheet,
    openingWords: words(sheet.openingWords),
    closingWords: words(sheet.closingWords),
    silenceWords: words(sheet.silenceWords),
    wrongKeyWords: words(sheet.wrongKeyWords),
  };
}

/** Live parts name what they speak of at the end of their braces. */
export function replacedInWords(words: string, from: ReferredId, to: ReferredId): string {
  return words.replaceAll(` ${from}}`, ` ${to}}`);
}

/** Everything a step refers to. */
export function refersTo(step: Step): readonly ReferredId[] {
  switch (step.type) {
    case 'ring':
      return [step.personId, ...inHearing(step.hear), ...idsInWords(step.before)];
    case 'ringOperator':
      return [...inHearing(step.hear), ...idsInWords(step.before)];
    case 'ringOutside':
      return [...inOutside(step.to), ...inHearing(step.hear), ...idsInWords(step.before)];
    case 'ringGroup':
      return [step.groupId, ...inHearing(step.hear), ...idsInWords(step.before)];
    case 'waitInQueue':
      return [step.queueId];
    case 'handOver':
      return [...inOutside(step.to), ...idsInWords(step.before)];
    case 'toLine':
      return [step.lineId];
    case 'takeMessage':
      return [step.boxId, ...(step.tell ?? []).map(({ personId }) => personId)];
    case 'goTo':
      return [step.sheetId];
    case 'followPath':
      return [step.pathId];
    case 'say':
      return step.spoken.type === 'greeting' ? [step.spoken.greetingId] : idsInWords(step.spoken.words);
    case 'hangUp':
      return idsInWords(step.words);
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
  if (typeof value === 'string') return replacedInWords(value, from, to) as Value;
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
