import type { Box, Person } from '../directory';
import type { Hours } from '../hours';
import type { Attendant, Greeting, SheetId, Slot } from '../line';

/** What is read: a draft, and what it refers to as it is now. */
export interface ProofSubject {
  readonly attendant: Attendant;
  readonly hours: Hours;
  readonly people: readonly Person[];
  readonly boxes: readonly Box[];
  readonly greetings: readonly Greeting[];
}

/** A fault stops going on air. */
export type Grade = 'fault';

/** Where a finding is: a sheet as a whole, or a path. */
export type FindingPlace =
  | { readonly type: 'sheet'; readonly sheetId: SheetId }
  | { readonly type: 'path'; readonly slot: Slot; readonly stepIndex: number | null };

/** A rule of the proof. What it finds is data; the sentences are in `words/`. */
export interface Rule<Name extends string = string> {
  readonly name: Name;
  readonly grade: Grade;
  find(subject: ProofSubject): readonly FindingPlace[];
}
