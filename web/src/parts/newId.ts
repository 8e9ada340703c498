import type { Id, IdKind } from '@locutor/core/id';

/** A new id of a kind: 72 random bits. */
export function newId<Kind extends string>(kind: IdKind<Kind>): Id<Kind> {
  const bytes = crypto.getRandomValues(new Uint8Array(9));
  return kind.create(
    btoa(String.fromCharCode(...bytes))
      .replaceAll('+', '-')
      .replaceAll('/', '_'),
  );
}
