import type { Hours } from '../hours';
import type { ProofSubject, RowFix } from './rule';

/** What is read, once it is mended. */
export function withRowFix(subject: ProofSubject, fix: RowFix): ProofSubject {
  switch (fix.type) {
    case 'queue':
      return { ...subject, queues: changed(subject.queues, fix.id, fix.changes) };
    case 'box':
      return { ...subject, boxes: changed(subject.boxes, fix.id, fix.changes) };
    case 'special': {
      const allHours = subject.allHours.map((hours) => (hours.id === fix.id ? withSpecialWords(hours, fix) : hours));
      return { ...subject, allHours, hours: withSpecialWords(subject.hours, fix) };
    }
  }
}

/** Hours in which a special date has other words. */
export function withSpecialWords<Of extends Hours>(
  hours: Of,
  { specialId, words }: Extract<RowFix, { type: 'special' }>,
): Of {
  return { ...hours, special: changed(hours.special, specialId, { words }) };
}

function changed<Row extends { readonly id: string }>(
  rows: readonly Row[],
  id: string,
  changes: Partial<NoInfer<Row>>,
): readonly Row[] {
  return rows.map((row) => (row.id === id ? { ...row, ...changes } : row));
}
