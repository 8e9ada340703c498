import type { Box, CallerList, Contact, Group, Person, Queue } from '../directory';
import type { Hours } from '../hours';
import type { Attendant, Edit, Greeting, LineId, SheetId, Slot } from '../line';

/** What is read: a draft, and what it refers to as it is now. */
export interface ProofSubject {
  readonly attendant: Attendant;
  /** The number of the line whose attendant it is. */
  readonly number: string;
  /** Today by the line's calendar, as `2026-11-23`. */
  readonly today: string;
  readonly hours: Hours;
  readonly people: readonly Person[];
  readonly groups: readonly Group[];
  readonly queues: readonly Queue[];
  readonly boxes: readonly Box[];
  readonly contacts: readonly Contact[];
  readonly callerLists: readonly CallerList[];
  readonly greetings: readonly Greeting[];
  readonly lines: readonly { readonly id: LineId }[];
}

/** A fault stops going on air; a caution is worth a look. */
export type Grade = 'fault' | 'caution';

/** Where a finding is: a sheet as a whole, or a path. */
export type FindingPlace =
  | { readonly type: 'sheet'; readonly sheetId: SheetId }
  | { readonly type: 'path'; readonly slot: Slot; readonly stepIndex: number | null };

/** Something that a rule found, and the edit that would mend it, where there is one. */
export interface Found {
  readonly at: FindingPlace;
  readonly fix?: Edit;
}

/** A rule of the proof. What it finds is data; the sentences are in `words/`. */
export interface Rule<Name extends string = string> {
  readonly name: Name;
  readonly grade: Grade;
  find(subject: ProofSubject): readonly Found[];
}
