import { randomBytes } from 'node:crypto';
import type { Id, IdKind } from '@locutor/core/id';

/** A new id of a kind: 72 random bits. */
export function newId<Kind extends string>(kind: IdKind<Kind>): Id<Kind> {
  return kind.create(randomBytes(9).toString('base64url'));
}
