import { showPhoneNumber } from '@locutor/core/directory';
import type { Names } from '@locutor/core/line';

/** Who answered: a person or contact by name, or a number. */
export function targetNameOf(answeredBy: string, names: Names): string {
  if (answeredBy.startsWith('+')) return showPhoneNumber(answeredBy);
  return names[answeredBy] ?? 'somebody deleted';
}
