import { doEdit, isSame, redo, startHistory, undo, type Attendant, type Edit, type History } from '@locutor/core/line';

export type Saving =
  | { readonly type: 'saved' }
  | { readonly type: 'saving' }
  /** The server did not answer; it is tried again by itself. */
  | { readonly type: 'unreachable'; readonly says: string }
  /** The server refused what stands here; it is tried again after the next edit. */
  | { readonly type: 'refused'; readonly says: string }
  /** Another window saved meanwhile; nothing is saved until the manager has chosen. */
  | { readonly type: 'stale'; readonly theirs: SavedDraft };

export interface SavedDraft {
  readonly revision: number;
  readonly attendant: Attendant;
}

export interface DraftSnapshot {
  readonly history: History;
  readonly saving: Saving;
  /** The revision last saved or loaded. */
  readonly revision: number;
}

/** The outside of the store: the server, a place in the browser for what is not saved yet, and time. */
export interface DraftDoors {
  save(revision: number, attendant: Attendant): Promise<{ readonly revision: number }>;
  load(): Promise<SavedDraft>;
  /** Keeps what is not saved yet, should the window be closed; null when all is saved. */
  backUp(unsaved: SavedDraft | null): void;
  /** What kind of failure this is. */
  failureOf(error: unknown): { readonly type: 'stale' | 'refused' | 'unreachable'; readonly says: string };
  later(ms: number, run: () => void): () => void;
}

const backUpAfterMs = 40;
const saveAfterMs = 300;
const retryAfterMs = 2000;

/** The draft being edited: history, saving by itself, and what to do when another window was faster. */
export class DraftStore {
  private snapshot: DraftSnapshot;
  private saved: Attendant;
  private underWay: Promise<void> | null = null;
  private cancelTimer: () => void = () => undefined;
  private cancelBackUp: () => void = () => undefined;
  private readonly listeners = new Set<() => void>();

  constructor(
    draft: SavedDraft,
    private readonly doors: DraftDoors,
    unsaved: SavedDraft | null = null,
  ) {
    this.saved = draft.attendant;
    this.snapshot = { history: startHistory(draft.attendant), saving: { type: 'saved' }, revision: draft.revision };
    if (unsaved && !isSame(unsaved.attendant, draft.attendant)) this.takeUp(unsaved, draft);
  }

  readonly getSnapshot = (): DraftSnapshot => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly edit = (edit: Edit): void => this.setHistory(doEdit(this.snapshot.history, edit));
  readonly undo = (): void => this.setHistory(undo(this.snapshot.history));
  readonly redo = (): void => this.setHistory(redo(this.snapshot.history));

  /** Saves what is not saved yet and tells the revision. @throws whatever saving throws. */
  async saveNow(): Promise<number> {
    this.cancelTimer();
    if (this.underWay) await this.underWay;
    if (this.isSaved()) return this.snapshot.revision;
    await this.save();
    if (this.snapshot.saving.type !== 'saved') throw new Error(this.says());
    return this.snapshot.revision;
  }

  /** After another window was faster: puts what stands here over it. */
  readonly keepMine = (): void => {
    const { saving } = this.snapshot;
    if (saving.type !== 'stale') return;
    this.set({ revision: saving.theirs.revision, saving: { type: 'saving' } });
    void this.save();
  };

  /** After another window was faster: takes what it saved; undo brings back what stood here. */
  readonly takeTheirs = (): void => {
    const { saving, history } = this.snapshot;
    if (saving.type !== 'stale') return;
    const { revision, attendant } = saving.theirs;
    this.saved = attendant;
    const edit: Edit = { type: 'replace', attendant, why: 'take over the other window’s draft' };
    this.set({ revision, saving: { type: 'saved' }, history: doEdit(history, edit) });
    this.doors.backUp(null);
  };

  /** Takes over what the server has changed in the draft by itself; undo brings back what stood here. */
  async reload(why: string): Promise<void> {
    const { revision, attendant } = await this.doors.load();
    this.cancelTimer();
    this.saved = attendant;
    const edit: Edit = { type: 'replace', attendant, why };
    this.set({ revision, saving: { type: 'saved' }, history: doEdit(this.snapshot.history, edit) });
    this.doors.backUp(null);
  }

  private takeUp(unsaved: SavedDraft, draft: SavedDraft): void {
    const edit: Edit = { type: 'replace', attendant: unsaved.attendant, why: 'what was not saved last time' };
    const history = doEdit(this.snapshot.history, edit);
    const isCurrent = unsaved.revision === draft.revision;
    this.snapshot = {
      ...this.snapshot,
      history,
      saving: isCurrent ? { type: 'saving' } : { type: 'stale', theirs: draft },
    };
    if (isCurrent) this.saveSoon(0);
  }

  private setHistory(history: History): void {
    if (history === this.snapshot.history) return;
    const stays = this.snapshot.saving.type === 'stale';
    this.set({ history, saving: stays ? this.snapshot.saving : { type: 'saving' } });
    this.backUpSoon();
    if (!stays) this.saveSoon(saveAfterMs);
  }

  /** Not before the letter just typed is painted: writing down a long script takes a while. */
  private backUpSoon(): void {
    this.cancelBackUp();
    this.cancelBackUp = this.doors.later(backUpAfterMs, () => {
      if (!this.isSaved())
        this.doors.backUp({ revision: this.snapshot.revision, attendant: this.snapshot.history.present });
    });
  }

  private saveSoon(ms: number): void {
    this.cancelTimer();
    this.cancelTimer = this.doors.later(ms, () => void this.save());
  }

  private save(): Promise<void> {
    this.underWay ??= this.saveOnce().finally(() => {
      this.underWay = null;
      if (this.snapshot.saving.type === 'saving' && !this.isSaved()) this.saveSoon(saveAfterMs);
    });
    return this.underWay;
  }

  private async saveOnce(): Promise<void> {
    const { present } = this.snapshot.history;
    try {
      const { revision } = await this.doors.save(this.snapshot.revision, present);
      this.saved = present;
      this.set({ revision, saving: this.isSaved() ? { type: 'saved' } : { type: 'saving' } });
      if (this.isSaved()) this.doors.backUp(null);
    } catch (error) {
      await this.fail(error);
    }
  }

  private async fail(error: unknown): Promise<void> {
    const failure = this.doors.failureOf(error);
    if (failure.type === 'stale') {
      const theirs = await this.doors.load().catch(() => null);
      if (theirs) return this.set({ saving: { type: 'stale', theirs } });
    }
    if (failure.type === 'refused') return this.set({ saving: { type: 'refused', says: failure.says } });
    this.set({ saving: { type: 'unreachable', says: failure.says } });
    this.saveSoon(retryAfterMs);
  }

  private isSaved(): boolean {
    return this.snapshot.history.present === this.saved;
  }

  private says(): string {
    const { saving } = this.snapshot;
    return 'says' in saving ? saving.says : 'The draft is not saved yet.';
  }

  private set(changes: Partial<DraftSnapshot>): void {
    this.snapshot = { ...this.snapshot, ...changes };
    for (const listener of this.listeners) listener();
  }
}
