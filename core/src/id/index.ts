/** An id that carries its kind in its type and in its text, such as `sheet:x7Kd02`. */
export type Id<Kind extends string> = `${Kind}:${string}` & { readonly __kind: Kind };

export interface IdKind<Kind extends string> {
  readonly kind: Kind;
  /** What the text of such an id looks like. */
  readonly pattern: RegExp;
  /**
   * Makes an id from a random part handed in, so that core holds no chance of its own.
   * @throws RangeError when the random part is not 1 to 40 letters, digits, `_` or `-`.
   */
  create(random: string): Id<Kind>;
  is(value: unknown): value is Id<Kind>;
}

/** What the text of an id of one of some kinds looks like. */
export function idPattern(...kinds: readonly Pick<IdKind<string>, 'kind'>[]): RegExp {
  return new RegExp(`^(${kinds.map(({ kind }) => kind).join('|')}):${randomPart}$`);
}

const randomPart = '[A-Za-z0-9_-]{1,40}';

/** Makes the one place where ids of a kind are created and recognised. */
export function idKind<Kind extends string>(kind: Kind): IdKind<Kind> {
  const pattern = new RegExp(`^${kind}:${randomPart}$`);
  const is = (value: unknown): value is Id<Kind> => typeof value === 'string' && pattern.test(value);
  return {
    kind,
    pattern,
    is,
    create(random) {
      const id = `${kind}:${random}`;
      if (!is(id)) throw new RangeError(`"${id}" cannot be an id of a ${kind}`);
      return id;
    },
  };
}
