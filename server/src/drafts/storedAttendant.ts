import { describeDocumentProblem, readAttendant, type Attendant } from '@locutor/core/line';

/** An attendant from the database, brought to the newest schema. @throws Error when the row is damaged. */
export function storedAttendant(document: unknown): Attendant {
  const read = readAttendant(document);
  if (read.ok) return read.value;
  const says = read.problems.map((problem) => describeDocumentProblem(problem, document)).join(' ');
  throw new Error(`A stored attendant cannot be read: ${says}`);
}
