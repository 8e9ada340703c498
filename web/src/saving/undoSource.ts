/** What kind of thing is edited, as screens tell what undoing means on them. */
export type UndoKind = 'draft' | 'hours' | 'rows';

/** A history whose last change can be taken back from the keyboard. */
export interface UndoSource {
  readonly kind: UndoKind;
  /** When the change was made that would be undone next, or done again next, by `Moments`; 0 for none. */
  readonly lastAt: number;
  readonly nextAt: number;
  /** Takes the last change back and tells in words what it was. */
  undoLast(): string;
  /** Does the change again that was undone last and tells in words what it is. */
  redoNext(): string;
}
