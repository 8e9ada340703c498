import type { IdKind, Id } from '../id';

const unchosenPart = 'none';

/** Stands in a step for somebody or something that is still to be chosen; it names nothing there is. */
export function unchosen<Kind extends string>(kind: IdKind<Kind>): Id<Kind> {
  return kind.create(unchosenPart);
}

export function isUnchosen(id: string): boolean {
  return id.endsWith(`:${unchosenPart}`);
}
