import {
  describeEdit,
  doEdit,
  rebaseHistory,
  redo,
  startHistory,
  undo,
  type Attendant,
  type Change,
  type Edit,
  type History,
  type Names,
} from '@locutor/core/line';
import { Moments } from '../saving/moments';
import type { Saver, Saving } from '../saving/saver';
import type { UndoSource } from '../saving/undoSource';

export interface DraftSnapshot {
  readonly history: History;
  readonly saving: Saving;
  /** The revision last saved or loaded. */
  readonly revision: number;
}

/** The draft being edited: what was done to it and can be undone, over what saves it. */
export class DraftStore implements UndoSource {
  readonly kind = 'draft';
  private snapshot: DraftSnapshot;
  private history: History;
  private readonly moments = new Moments();
  private names: Names = {};
  private readonly listeners = new Set<() => void>();
  /** Why the next thing that comes from the server is a change of this window's own. */
  private why: string | null = null;

  constructor(
    readonly saver: Saver<Attendant>,
    history: History = startHistory(saver.getPresent()),
  ) {
    this.history = history;
    history.done.forEach((_, index) => this.moments.did(index + 1));
    this.snapshot = this.current();
    saver.onRebase(({ base, theirs, merged }) => {
      if (this.why === null) this.history = rebaseHistory(this.history, base, theirs, merged);
      else {
        this.history = doEdit(this.history, { type: 'replace', attendant: merged, why: this.why });
        this.moments.did(this.history.done.length);
      }
    });
    saver.subscribe(() => this.tell());
  }

  readonly getSnapshot = (): DraftSnapshot => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  get lastAt(): number {
    return this.moments.lastAt;
  }
  get nextAt(): number {
    return this.moments.nextAt;
  }

  readonly edit = (edit: Edit): void => {
    const history = doEdit(this.history, edit);
    this.moments.did(history.done.length);
    this.setHistory(history);
  };

  readonly undo = (): void => {
    if (this.history.done.length === 0) return;
    this.moments.undid();
    this.setHistory(undo(this.history));
  };

  readonly redo = (): void => {
    if (this.history.undone.length === 0) return;
    this.moments.redid();
    this.setHistory(redo(this.history));
  };

  undoLast(): string {
    const change = this.history.done.at(-1);
    this.undo();
    return this.describe(change);
  }

  redoNext(): string {
    const change = this.history.undone.at(-1);
    this.redo();
    return this.describe(change);
  }

  /** Says what everything is called by now, for telling what was undone. */
  know(names: Names): void {
    this.names = names;
  }

  /** Saves what is not saved yet and tells the revision. @throws whatever saving throws. */
  saveNow(): Promise<number> {
    return this.saver.saveNow();
  }

  /** Takes over what the server has changed in the draft at this window's wish; undo brings back what stood here. */
  async reload(why: string): Promise<void> {
    this.why = why;
    try {
      await this.saver.reload();
    } finally {
      this.why = null;
    }
  }

  private describe(change: Change | undefined): string {
    return change ? describeEdit(change.edit, change.before, this.names) : '';
  }

  private setHistory(history: History): void {
    if (history === this.history) return;
    this.history = history;
    this.saver.change(history.present);
    if (this.snapshot.history !== this.history) this.tell();
  }

  private current(): DraftSnapshot {
    return { history: this.history, saving: this.saver.getSaving(), revision: this.saver.revision };
  }

  private tell(): void {
    this.snapshot = this.current();
    for (const listener of this.listeners) listener();
  }
}
