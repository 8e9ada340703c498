import type { Id, IdKind } from '@locutor/core/id';

/** A new id of a kind. */
export function newId<Kind extends string>(kind: IdKind<Kind>): Id<Kind> {
  return kind.create(randomText());
}

/** 72 random bits, as letters, digits, `-` and `_`. */
export function randomText(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(9));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_');
}
