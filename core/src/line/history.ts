import type { Attendant } from './attendant';
import { applyEdit } from './edits/applyEdit';
import { isSame } from '../merging';
import type { Edit } from './edits/edit';
import { mergeAttendants } from './mergeAttendants';
import { pathAt, slotKey } from './slot';
import type { Path, Step } from './step';

/** One step of undo: an edit, and the attendants before and after it. */
export interface Change {
  readonly edit: Edit;
  readonly before: Attendant;
  readonly after: Attendant;
}

/** The attendant being edited, with what was done to it and what was undone. */
export interface History {
  readonly present: Attendant;
  /** Oldest first. */
  readonly done: readonly Change[];
  /** What can be redone; the next one last. Emptied by a new edit. */
  readonly undone: readonly Change[];
}

const mostChanges = 200;

export function startHistory(present: Attendant): History {
  return { present, done: [], undone: [] };
}

/** Applies an edit. Typing on in the same words joins the step of undo before it. */
export function doEdit(history: History, edit: Edit): History {
  const after = applyEdit(history.present, edit);
  const last = history.done.at(-1);
  if (last && history.undone.length === 0 && typesOn(last, edit)) {
    return { present: after, done: [...history.done.slice(0, -1), { ...last, edit, after }], undone: [] };
  }
  const done = [...history.done, { edit, before: history.present, after }];
  return { present: after, done: done.slice(-mostChanges), undone: [] };
}

/** Takes the last edit back; the same history when there is none. */
export function undo(history: History): History {
  const change = history.done.at(-1);
  if (!change) return history;
  return { present: change.before, done: history.done.slice(0, -1), undone: [...history.undone, change] };
}

/** Does again what was last undone; the same history when there is none. */
export function redo(history: History): History {
  const change = history.undone.at(-1);
  if (!change) return history;
  return { present: change.after, done: [...history.done, change], undone: history.undone.slice(0, -1) };
}

/**
 * The history of a document under which another window's changes were put: undoing takes back what was done here, and
 * nothing else.
 *
 * @param base what both windows began from
 * @param present what the two came to
 */
export function rebaseHistory(history: History, base: Attendant, theirs: Attendant, present: Attendant): History {
  const known = new Map<Attendant, Attendant>([[history.present, present]]);
  const rebased = (attendant: Attendant): Attendant => {
    const found = known.get(attendant) ?? mergeAttendants(base, attendant, theirs).document;
    known.set(attendant, found);
    return found;
  };
  const change = ({ edit, before, after }: Change): Change => ({
    edit,
    before: rebased(before),
    after: rebased(after),
  });
  return { present, done: history.done.map(change), undone: history.undone.map(change) };
}

function typesOn({ edit: earlier, before }: Change, later: Edit): boolean {
  if (earlier.type === 'setWords' && later.type === 'setWords') {
    return earlier.sheetId === later.sheetId && earlier.part === later.part;
  }
  if (earlier.type === 'setOption' && later.type === 'setOption') {
    const both = earlier.option.label !== undefined && later.option.label !== undefined;
    return both && earlier.sheetId === later.sheetId && earlier.key === later.key;
  }
  if (earlier.type === 'renameNamedPath' && later.type === 'renameNamedPath') return earlier.pathId === later.pathId;
  if (earlier.type === 'setPath' && later.type === 'setPath') {
    const isSamePlace = slotKey(earlier.slot) === slotKey(later.slot);
    const first = pathAt(before, earlier.slot) ?? [];
    return isSamePlace && [first, earlier.path].every((path) => differsInWords(path, later.path));
  }
  return earlier.type === 'renameSheet' && later.type === 'renameSheet' && earlier.sheetId === later.sheetId;
}

/** Whether two paths differ in nothing but the words of one step: typing, letter by letter. */
function differsInWords(one: Path, other: Path): boolean {
  const changed = one.filter((step, index) => !isSame(step, other[index]));
  return (
    one.length === other.length &&
    changed.length === 1 &&
    one.every((step, index) => isSame(withoutWords(step), withoutWords(other[index] ?? step)))
  );
}

function withoutWords(step: Step): Step {
  switch (step.type) {
    case 'say':
      return step.spoken.type === 'typed' ? { ...step, spoken: { type: 'typed', words: '' } } : step;
    case 'hangUp':
      return { ...step, words: '' };
    case 'ring':
    case 'ringGroup':
    case 'ringOutside':
    case 'handOver':
      return { ...step, before: '' };
    default:
      return step;
  }
}
