import { showPhoneNumber, type ClosedReason, type QueueReason } from '../../directory';
import { unreachable } from '../../result';
import { findNamedPath, findSheet, type Attendant } from '../attendant';
import { isSame } from '../../merging';
import type { Edit, SetMenuSettings, SetPath, WordsPart } from '../edits/edit';
import type { DocumentProblem } from '../readAttendant';
import type { NamedPathId, SheetId } from '../ids';
import { pathAt, sheetOfSlot, slotOfRule, type RuleSlot, type Slot } from '../slot';
import type { Use } from '../references';
import { isUnchosen } from '../unchosen';
import type { Outside, Step } from '../step';

/** How things that steps refer to are called: the directory's and library's names by id. */
export type Names = Readonly<Record<string, string>>;

const deleted = 'something deleted';

/** What something is called; what is still to be chosen, or was deleted, is said to be. */
function nameOfId(names: Names, id: string): string {
  return names[id] ?? (isUnchosen(id) ? '…' : deleted);
}

/** What a step does, in a few words: "ring Noor Haldane for 24 s". */
export function describeStep(step: Step, attendant: Attendant, names: Names): string {
  const name = (id: string): string => nameOfId(names, id);
  switch (step.type) {
    case 'ring':
      return `ring ${name(step.personId)} ${describeSeconds(step.seconds)}${step.onCall ? ', phones for on call too' : ''}`;
    case 'ringOperator':
      return `ring the operator ${describeSeconds(step.seconds)}`;
    case 'ringOutside':
      return `ring ${describeOutside(step.to, names)} ${describeSeconds(step.seconds)}`;
    case 'ringGroup':
      return `ring ${name(step.groupId)}${step.seconds === null ? '' : ` ${describeSeconds(step.seconds)}`}`;
    case 'waitInQueue':
      return `wait in ${name(step.queueId)}`;
    case 'handOver':
      return `hand over to ${describeOutside(step.to, names)}`;
    case 'toLine':
      return `hand over to the line ${name(step.lineId)}`;
    case 'say':
      return step.spoken.type === 'greeting'
        ? `say ${name(step.spoken.greetingId)}`
        : `say "${shorten(step.spoken.words)}"`;
    case 'takeMessage':
      return `take a message in ${name(step.boxId)}`;
    case 'goTo':
      return `go to ${findSheet(attendant, step.sheetId)?.name ?? name(step.sheetId)}`;
    case 'back':
      return 'go back to the previous menu';
    case 'sayAgain':
      return 'say this menu again';
    case 'searchByName':
      return 'search by name';
    case 'askExtension':
      return 'ask for an extension';
    case 'followPath':
      return `follow ${findNamedPath(attendant, step.pathId)?.name ?? name(step.pathId)}`;
    case 'record':
      return step.on ? 'record the call from here on' : 'stop recording the call';
    case 'hangUp':
      return 'hang up';
    default:
      return unreachable(step);
  }
}

function describeSeconds(seconds: number | null): string {
  return seconds === null ? 'with no limit' : `for ${seconds} s`;
}

export function describeOutside(to: Outside, names: Names): string {
  if (to.type === 'contact') return names[to.contactId] ?? deleted;
  return to.number.trim() ? showPhoneNumber(to.number) : 'a number not typed yet';
}

/** Where a path stands, in words: "key 2 of Welcome". */
export function describeSlot(slot: Slot, attendant: Attendant, names: Names): string {
  const sheetId = sheetOfSlot(slot);
  const sheet = sheetId ? nameOf(attendant, sheetId) : '';
  switch (slot.type) {
    case 'period':
      return `the answer during ${names[slot.periodId] ?? deleted}`;
    case 'callers':
      return `the answer for ${names[slot.callerListId] ?? deleted}`;
    case 'special':
      return slot.specialId ? `the answer on ${names[slot.specialId] ?? deleted}` : 'the answer on special dates';
    case 'otherwise':
      return 'the answer at all other times';
    case 'switch':
      return 'the switch';
    case 'named':
      return `the path ${findNamedPath(attendant, slot.pathId)?.name ?? deleted}`;
    case 'key':
      return `key ${slot.key} of ${sheet}`;
    case 'silence':
      return `the silence path of ${sheet}`;
    case 'wrongKey':
      return `the wrong-key path of ${sheet}`;
    case 'after':
      return `what follows ${sheet}`;
    case 'group':
      return `what follows if nobody in ${names[slot.groupId] ?? deleted} answers`;
    case 'groupClosed':
      return `what follows if ${closedReasonWords[slot.reason](names[slot.groupId] ?? deleted)}`;
    case 'queue':
      return `what follows if ${queueReasonWords[slot.reason](names[slot.queueId] ?? deleted)}`;
    default:
      return unreachable(slot);
  }
}

/** Where something is used, in words that follow on "in". */
export function describeUse(use: Use, attendant: Attendant, names: Names): string {
  return 'slot' in use ? describeSlot(use.slot, attendant, names) : `the words of ${nameOf(attendant, use.sheetId)}`;
}

/** Why a group or queue takes no callers, after "if". */
const closedReasonWords: Readonly<Record<ClosedReason, (name: string) => string>> = {
  closed: (name) => `${name} is closed`,
  special: (name) => `${name} is closed for a special date`,
};

/** Why a queue let a caller go, after "if". */
export const queueReasonWords: Readonly<Record<QueueReason, (queue: string) => string>> = {
  full: (queue) => `${queue} is full`,
  tooLong: (queue) => `the wait in ${queue} is too long`,
  nobodyWorking: (queue) => `nobody in ${queue} is working`,
  ...closedReasonWords,
  exitKey: (queue) => `the caller leaves ${queue}`,
};

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
    case 'moveSheet':
      return `move ${nameOf(before, edit.sheetId)} in the outline`;
    case 'setSheetVoice':
      return `change the voice of ${nameOf(before, edit.sheetId)}`;
    case 'removeSheet':
      return `remove ${nameOf(before, edit.sheetId)}`;
    case 'renameSheet':
      return `rename ${nameOf(before, edit.sheetId)} to ${edit.name}`;
    case 'setWords':
      return `type the ${partNames[edit.part]} of ${nameOf(before, edit.sheetId)}`;
    case 'setMenuSettings':
      return describeSettingsEdit(edit, before);
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
    case 'setTake': {
      const what = edit.take?.byVoice
        ? 'let the voice say'
        : edit.take
          ? 'use a recording for'
          : 'use no recording for';
      return `${what} ${edit.part.type === 'option' ? `key ${edit.part.key} of ` : ''}${nameOf(before, edit.sheetId)}`;
    }
    case 'setPath':
      return describePathEdit(edit, before, names);
    case 'setVoice':
      return 'change the voice';
    case 'addRule':
      return `add ${describeRule(slotOfRule(edit.rule), names)} to the answering order`;
    case 'removeRule':
      return `take ${describeRule(edit.rule, names)} out of the answering order`;
    case 'moveRule':
      return `move ${describeRule(edit.rule, names)} in the answering order`;
    case 'addNamedPath':
      return `add the path ${edit.path.name}`;
    case 'removeNamedPath':
      return `remove the path ${pathName(before, edit.pathId)}`;
    case 'renameNamedPath':
      return `rename the path ${pathName(before, edit.pathId)} to ${edit.name}`;
    case 'replaceEverywhere':
      return `replace ${nameOfAny(before, names, edit.from)} by ${nameOfAny(before, names, edit.to)} everywhere`;
    case 'together':
    case 'replace':
      return edit.why;
    default:
      return unreachable(edit);
  }
}

function describeSettingsEdit({ sheetId, settings }: SetMenuSettings, before: Attendant): string {
  const sheet = nameOf(before, sheetId);
  if (settings.extensions !== undefined) {
    return settings.extensions ? `let callers dial extensions in ${sheet}` : `no longer dial extensions in ${sheet}`;
  }
  if (settings.speech !== undefined) {
    return settings.speech ? `let callers speak in ${sheet}` : `no longer listen to callers in ${sheet}`;
  }
  return `change how ${sheet} waits for keys`;
}

function describeRule(rule: RuleSlot, names: Names): string {
  switch (rule.type) {
    case 'period':
      return names[rule.periodId] ?? deleted;
    case 'callers':
      return names[rule.callerListId] ?? deleted;
    case 'special':
      return rule.specialId ? (names[rule.specialId] ?? deleted) : 'special dates';
  }
}

function pathName(attendant: Attendant, pathId: NamedPathId): string {
  return findNamedPath(attendant, pathId)?.name ?? deleted;
}

function nameOfAny(attendant: Attendant, names: Names, id: string): string {
  const own = [...attendant.sheets, ...attendant.paths].find((each) => each.id === id);
  return own?.name ?? names[id] ?? deleted;
}

/** Names the step that was added, removed or changed. */
function describePathEdit({ slot, path }: SetPath, before: Attendant, names: Names): string {
  const where = describeSlot(slot, before, names);
  const earlier = pathAt(before, slot) ?? [];
  if (path.length === 0) return `empty ${where}`;
  const index = earlier.findIndex((step, each) => !isSame(step, path[each]));
  const changed = index === -1 ? path[earlier.length] : path[index];
  const gone = earlier[index];
  if (path.length < earlier.length && gone) return `remove “${describeStep(gone, before, names)}” (${where})`;
  const isMoved =
    path.length === earlier.length && path.filter((step, each) => !isSame(step, earlier[each])).length > 1;
  if (isMoved) return `reorder the steps of ${where}`;
  return changed ? `${describeStep(changed, before, names)} (${where})` : `change ${where}`;
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
    case 'pathTwice':
      return `Two paths have the same id, ${problem.pathId}.`;
    case 'ruleTwice':
      return `The answering order names the same period or list twice, ${problem.of}.`;
    case 'fallbackTwice':
      return `The same group or queue has two paths for the same reason, ${problem.of}.`;
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
