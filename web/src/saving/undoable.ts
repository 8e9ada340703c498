import { isSame } from '@locutor/core/merging';
import { Moments } from './moments';
import type { Merging, Saver } from './saver';
import type { UndoKind, UndoSource } from './undoSource';

const mostChanges = 200;

interface About<Document> extends Pick<Merging<Document>, 'merge'> {
  readonly kind: UndoKind;
  /** What a change was, in words. */
  readonly describe: (before: Document, after: Document) => string;
  /** Whether a change goes on with the one before it, as the next letter does; never when left out. */
  readonly joins?: (first: Document, before: Document, after: Document) => boolean;
}

/**
 * The changes made here to a document that saves itself, to be undone and done again. What another window changed is
 * put under each of them: undoing takes back what was done here, and nothing else.
 */
export class Undoable<Document> implements UndoSource {
  readonly kind: UndoKind;
  private past: readonly Document[] = [];
  private future: readonly Document[] = [];
  private readonly moments = new Moments();
  private readonly listeners = new Set<() => void>();
  private seen = { canUndo: false, canRedo: false };

  constructor(
    readonly saver: Saver<Document>,
    private readonly about: About<Document>,
  ) {
    this.kind = about.kind;
    saver.onRebase(({ base, theirs }) => {
      const rebased = (documents: readonly Document[]): readonly Document[] =>
        documents.map((document) => about.merge(base, document, theirs).document);
      this.set(rebased(this.past), rebased(this.future));
    });
    // What was given up is nothing that could be taken back.
    saver.onLeft(() => {
      const at = this.past.findLastIndex((document) => isSame(document, saver.getPresent()));
      if (at >= 0) this.set(this.past.slice(0, at), []);
    });
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getSnapshot = (): { readonly canUndo: boolean; readonly canRedo: boolean } => this.seen;
  get lastAt(): number {
    return this.moments.lastAt;
  }
  get nextAt(): number {
    return this.moments.nextAt;
  }

  readonly change = (document: Document): void => {
    const before = this.saver.getPresent();
    if (document === before) return;
    const first = this.past.at(-1);
    const isJoined = first !== undefined && this.future.length === 0 && this.about.joins?.(first, before, document);
    const past = isJoined ? this.past : [...this.past, before].slice(-mostChanges);
    this.moments.did(past.length);
    this.set(past, []);
    this.saver.change(document);
  };

  readonly undo = (): void => {
    const before = this.past.at(-1);
    if (before === undefined) return;
    this.moments.undid();
    this.set(this.past.slice(0, -1), [...this.future, this.saver.getPresent()]);
    this.saver.change(before);
  };

  readonly redo = (): void => {
    const next = this.future.at(-1);
    if (next === undefined) return;
    this.moments.redid();
    this.set([...this.past, this.saver.getPresent()], this.future.slice(0, -1));
    this.saver.change(next);
  };

  undoLast(): string {
    const after = this.saver.getPresent();
    this.undo();
    return this.about.describe(this.saver.getPresent(), after);
  }

  redoNext(): string {
    const before = this.saver.getPresent();
    this.redo();
    return this.about.describe(before, this.saver.getPresent());
  }

  /** Takes the last change back as if it had never been made, such as one that was refused. */
  readonly forget = (): void => {
    const before = this.past.at(-1);
    if (before === undefined) return;
    this.moments.undid();
    this.set(this.past.slice(0, -1), []);
    this.saver.change(before);
  };

  private set(past: readonly Document[], future: readonly Document[]): void {
    this.past = past;
    this.future = future;
    this.seen = { canUndo: past.length > 0, canRedo: future.length > 0 };
    for (const listener of this.listeners) listener();
  }
}
