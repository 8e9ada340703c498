import { describeDocumentProblem, readAttendant, type Attendant } from '@locutor/core/line';
import { unreadable } from '../problems/problem';

/** What is read, for those who are told when it cannot be. */
interface Stored {
  /** Such as "The draft". */
  readonly what: string;
  readonly revision?: number;
}

/**
 * An attendant from the database, brought to the newest schema.
 * @throws Problem 500 in words when the row is damaged, or of a later release.
 */
export function storedAttendant(document: unknown, { what, revision }: Stored = { what: 'A script' }): Attendant {
  const read = readAttendant(document);
  if (read.ok) return read.value;
  const says = read.problems.map((problem) => describeDocumentProblem(problem, document)).join(' ');
  throw unreadable(`${what} cannot be read: ${says}`, revision);
}
