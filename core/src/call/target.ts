import type { ContactId, E164, PersonId } from '../directory';

/** A phone outside of the business. */
export interface OutsideTarget {
  readonly type: 'outside';
  readonly number: E164;
  /** Null for a number typed in place. */
  readonly contactId: ContactId | null;
}

/** Who is rung. */
export type Target = { readonly type: 'person'; readonly personId: PersonId } | OutsideTarget;

/** The very phone that rings. */
export type RungPhone =
  | {
      readonly type: 'person';
      readonly personId: PersonId;
      /** The number of an outside phone of theirs; null for the one on their desk. */
      readonly number: E164 | null;
    }
  | OutsideTarget;
