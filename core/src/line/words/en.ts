import { unreachable } from '../../result';
import type { Attendant } from '../attendant';
import { findSheet } from '../attendant';
import type { Edit, WordsPart } from '../edits/edit';
import type { DocumentProblem } from '../readAttendant';
import type { SheetId } from '../ids';
import type { Slot } from '../slot';
import { sheetOfSlot } from '../slot';
import type { Step } from '../step';

/** How things that steps refer to are called: the directory's and library's names by id. */
export type Names = Readonly<Record<string, string>>;

const deleted = 'something deleted';

/** What a step does, in a few words: "ring Noor Haldane for 24 s". */
export function describeStep(step: Step, attendant: Attendant, names: Names): string {
  switch (step.type) {
    case 'ring':
      return `ring ${names[step.personId] ?? deleted} for ${step.seconds} s`;
    case 'say':
      return step.spoken.type === 'greeting'
        ? `say ${names[step.spoken.greetingId] ?? deleted}`
        : `say "${shorten(step.spoken.words)}"`;
    case 'takeMessage':
      return `take a message in ${names[step.boxId] ?? deleted}`;
    case 'goTo':
      return `go to ${findSheet(attendant, step.sheetId)?.name ?? deleted}`;
    case 'sayAgain':
      return 'say this menu again';
    case 'hangUp':
      return 'hang up';
    default:
      return unreachable(step);
  }
}

/** Where a path stands, in words: "key 2 of Welcome". */
export function describeSlot(slot: Slot, attendant: Attendant, names: Names): string {
  const sheetId = sheetOfSlot(slot);
  const sheet = sheetId ? nameOf(attendant, sheetId) : '';
  switch (slot.type) {
    case 'period':
      return `the answer during ${names[slot.periodId] ?? deleted}`;
    case 'otherwise':
      return 'the answer at all other times';
    case 'key':
      return `key ${slot.key} of ${sheet}`;
    case 'silence':
      return `the silence path of ${sheet}`;
    case 'wrongKey':
      return `the wrong-key path of ${sheet}`;
    case 'after':
      return `what follows ${sheet}`;
    default:
      return unreachable(slot);
  }
}

const partNames: Readonly<Record<WordsPart, string>> = {
  openingWords: 'opening words',
  closingWords: 'closing words',
  silenceWords: 'words after silence',
  wrongKeyWords: 'words after a wrong key',
  words: 'words',
};

/** What an edit did, for "Undo: ..."; the attendant is the one before the edit. */
export function describeEdit(edit: Edit, before: Attendant, names: Names): string {
  switch (edit.type) {
    case 'addSheet':
      return `add ${edit.sheet.name}`;
    case 'removeSheet':
      return `remove ${nameOf(before, edit.sheetId)}`;
    case 'renameSheet':
      return `rename ${nameOf(before, edit.sheetId)} to ${edit.name}`;
    case 'setWords':
      return `type the ${partNames[edit.part]} of ${nameOf(before, edit.sheetId)}`;
    case 'setMenuSettings':
      return `change how ${nameOf(before, edit.sheetId)} waits for keys`;
    case 'addKey':
      return `add key ${edit.option.key} to ${nameOf(before, edit.sheetId)}`;
    case 'removeKey':
      return `remove key ${edit.key} from ${nameOf(before, edit.sheetId)}`;
    case 'moveKey':
      return `move key ${edit.from} to ${edit.to}`;
    case 'reorderKey':
      return `read key ${edit.key} out in another place`;
    case 'setOption':
      return edit.option.label === undefined
        ? `${edit.option.readOut ? 'read key' : 'do not read key'} ${edit.key} out`
        : `type what key ${edit.key} is for`;
    case 'setPath':
      return describePathEdit(edit, before, names);
    case 'setVoice':
      return 'change the voice';
    case 'addRule':
    case 'removeRule':
    case 'moveRule':
      return `change the answering order for ${names[edit.periodId] ?? deleted}`;
    case 'replace':
      return edit.why;
    default:
      return unreachable(edit);
  }
}

function describePathEdit(edit: Extract<Edit, { type: 'setPath' }>, before: Attendant, names: Names): string {
  const last = edit.path.at(-1);
  const where = describeSlot(edit.slot, before, names);
  return last ? `${describeStep(last, before, names)} (${where})` : `empty ${where}`;
}

/** What is wrong with a document that was sent, in words; the document is looked into for names. */
export function describeDocumentProblem(problem: DocumentProblem, raw: unknown): string {
  switch (problem.type) {
    case 'notADocument':
    case 'noVersion':
      return 'This is not an attendant written by Locutor: its schema version is missing.';
    case 'tooNew':
      return `This attendant was written by a newer Locutor (schema version ${problem.version}; this one knows ${problem.newestKnown}).`;
    case 'sheetTwice':
      return `Two sheets have the same id, ${problem.sheetId}.`;
    case 'periodTwice':
      return `The answering order names the same period twice, ${problem.periodId}.`;
    case 'keyTwice':
      return `${problem.sheetName} has key ${problem.key} twice.`;
    case 'shape':
      return `${describePlace(problem.at, raw)}: ${problem.says}.`;
    default:
      return unreachable(problem);
  }
}

function describePlace(at: readonly (string | number)[], raw: unknown): string {
  const parts: string[] = [];
  let here: unknown = raw;
  for (const part of at) {
    here = (here as Record<string | number, unknown> | undefined)?.[part];
    const { name, key } = (here ?? {}) as { name?: unknown; key?: unknown };
    if (typeof part === 'string') parts.push(partNames[part as WordsPart] ?? part);
    else if (typeof name === 'string' && name) parts.splice(-1, 1, name);
    else if (typeof key === 'string') parts.splice(-1, 1, `key ${key}`);
    else parts.push(String(part + 1));
  }
  return parts.join(', ') || 'The attendant';
}

function nameOf(attendant: Attendant, sheetId: SheetId): string {
  return findSheet(attendant, sheetId)?.name ?? deleted;
}

function shorten(words: string): string {
  return words.length > 30 ? `${words.slice(0, 29)}…` : words;
}
