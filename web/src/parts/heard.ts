/** A sentence that is being heard. */
export interface Heard {
  /** Which of the sentences. */
  readonly index: number;
  /** When it began, in ms since 1970, and how long it takes. */
  readonly sinceMs: number;
  readonly ms: number;
}
