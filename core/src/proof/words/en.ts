import { describeSlot, findSheet, type Attendant, type Names } from '../../line';
import type { Finding } from '../proof';
import type { Consequence, Facts, FindingPlace, RowFix } from '../rule';
import type { RuleName } from '../rules';
import { advice } from './advice.en';
import { says } from './says.en';
import { why } from './why.en';

/** Where a finding is, as the beginning of a sentence: "Key 2 of Welcome". */
export function describePlace(at: FindingPlace, attendant: Attendant, names: Names): string {
  switch (at.type) {
    case 'sheet':
      return findSheet(attendant, at.sheetId)?.name ?? 'A sheet';
    case 'path':
      return capitalise(describeSlot(at.slot, attendant, names));
    case 'line':
      return 'This line';
    case 'switch':
      return 'The switch';
    case 'hours':
      return at.specialId ? (names[at.specialId] ?? 'A special date') : 'The hours';
    case 'row':
      return names[at.id] ?? 'Something deleted';
  }
}

/** What is wrong, for the manager. */
export function describeFinding({ rule, at, facts = {} }: Finding, attendant: Attendant, names: Names): string {
  return says[rule](describePlace(at, attendant, names), { ...named(facts, names), ...settings(at, attendant) }, at);
}

/** Why it matters to a caller. */
export function whyItMatters(rule: RuleName): string {
  return why[rule];
}

/** What to do about it. */
export function adviseOn({ rule, facts = {} }: Finding): string {
  const words = advice[rule];
  return typeof words === 'string' ? words : words(facts);
}

/** What a change of the directory or the hours would do, as the words of a button. */
export function describeRowFix(fix: RowFix, names: Names): string {
  switch (fix.type) {
    case 'queue':
      return inQueue(fix, names[fix.id] ?? 'the queue');
    case 'box': {
      const { ownerId } = fix.changes;
      const name = names[fix.id] ?? 'the box';
      return ownerId
        ? `give the box ${name} to ${names[ownerId] ?? 'them'}`
        : `tell only those of the box ${name} who can be`;
    }
    case 'special':
      return `let ${names[fix.specialId] ?? 'it'} say “${fix.words}”`;
  }
}

function inQueue({ changes }: Extract<RowFix, { type: 'queue' }>, name: string): string {
  if (changes.exitKey) return `let key ${changes.exitKey} leave ${name}`;
  if (changes.longestWaitSeconds)
    return `let nobody wait longer than ${changes.longestWaitSeconds / 60} minutes in ${name}`;
  return `let ${name} take callers again`;
}

/** What comes of findings for callers, as a heading. */
export const consequenceWords: Readonly<Record<Consequence, string>> = {
  lost: 'Callers are lost',
  wrongPlace: 'Callers reach the wrong place, or not the one they want',
  waits: 'Callers wait or hear too much',
  misled: 'Callers are told what is not so',
  unheard: 'Messages are not heard',
  office: 'For the office',
};

export const gradeWords = { fault: 'Fault', caution: 'Caution', tip: 'Tip' } as const;

/** Ids among the facts by their names. */
function named(facts: Facts, names: Names): Facts {
  return Object.fromEntries(Object.entries(facts).map(([name, value]) => [name, names[value] ?? value]));
}

/** What the sheet is set to, where a sentence speaks of it. */
function settings(at: FindingPlace, attendant: Attendant): Facts {
  const sheetId = at.type === 'path' && 'sheetId' in at.slot ? at.slot.sheetId : undefined;
  const sheet = sheetId && findSheet(attendant, sheetId);
  return sheet && sheet.type === 'menu' ? { waitSeconds: sheet.extensions?.waitSeconds ?? 0 } : {};
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
