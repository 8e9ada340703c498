import { isSame, type Clash, type Merged, type Side, type ToldClash } from '@locutor/core/merging';

/** A document as the server has it. */
export interface Kept<Document> {
  readonly revision: number;
  readonly document: Document;
}

/** What is not saved yet, and what it was made from: enough to merge it with whatever the server has by then. */
export interface Unsaved<Document> {
  readonly base: Kept<Document>;
  readonly document: Document;
  /** What was sent to be saved, of which it is not known whether it arrived; the latest last. */
  readonly sent?: readonly Document[];
}

export type Saving =
  | { readonly type: 'saved' }
  | { readonly type: 'saving' }
  /** The server did not answer; it is tried again by itself. */
  | { readonly type: 'unreachable'; readonly says: string }
  /** The server refused what stands here; it is tried again after the next change. */
  | { readonly type: 'refused'; readonly says: string }
  /** Another window changed the same things to something else; nothing is saved until somebody has chosen. */
  | { readonly type: 'clash'; readonly clashes: readonly ToldClash[] };

/** What became of this document when another window had saved it meanwhile. */
export interface Rebased<Document> {
  /** What both windows began from. */
  readonly base: Document;
  readonly theirs: Document;
  /** What stood here before; the same as `base` where nothing had been changed here. */
  readonly mine: Document;
  readonly merged: Document;
}

/** How documents of one kind are merged, and their clashes told. */
export interface Merging<Document> {
  merge(base: Document, mine: Document, theirs: Document, choose?: (clash: Clash) => Side): Merged<Document>;
  tell(versions: readonly [Document, Document, Document], clashes: readonly Clash[]): readonly ToldClash[];
}

/** Why something could not be saved; `leftAsItWas` where somebody was asked first and said no. */
export interface Failure {
  readonly type: 'stale' | 'refused' | 'unreachable' | 'leftAsItWas';
  readonly says: string;
}

/** The outside of a saver: the server, a place in the browser, and time. */
export interface SaverDoors<Document> extends Merging<Document> {
  /** Saves what was made from a revision. @throws whatever `failureOf` tells apart. */
  save(base: Kept<Document>, document: Document): Promise<{ readonly revision: number }>;
  load(): Promise<Kept<Document>>;
  /** Keeps what is not saved yet, should the window be closed; null when all is saved. */
  backUp(unsaved: Unsaved<Document> | null): void;
  /** Runs something when the window is about to be closed or left; the answer takes that back. */
  leaving?(run: () => void): () => void;
  failureOf(error: unknown): Failure;
  /** Hears of every change that is made here. */
  changed?(): void;
  /** Runs something later; the answer takes that back. */
  later(ms: number, run: () => void): () => void;
}

export const saverTimes = {
  /** Once nothing is typed for a moment, since writing down a long document takes a while. A window that is left is not waited for. */
  backUpAfterMs: 250,
  /** How long somebody may type on before it is written down all the same. */
  backUpAtLeastEveryMs: 1000,
  saveAfterMs: 300,
  /** How long after a save that was not answered it is tried again; the last for all that follow. */
  retryAfterMs: [1000, 2000, 4000, 8000, 16_000, 30_000],
} as const;

const mostSent = 5;

/**
 * Saves one document by itself: a moment after the last change, one save after the other, again and again while the
 * server does not answer. What another window saved meanwhile is merged with what was changed here; where the two clash
 * somebody has to choose. Until the server has it, what was typed is kept in the browser as well.
 */
export class Saver<Document> {
  private present: Document;
  private saving: Saving = { type: 'saved' };
  /** What the server has where that clashes with what stands here. */
  private theirs: Kept<Document> | null = null;
  /** What was heard of while a save was under way: it may be that very save. */
  private heard: Kept<Document> | null = null;
  private sent: readonly Document[] = [];
  private clashes: readonly Clash[] = [];
  private underWay: Promise<void> | null = null;
  private tries = 0;
  /** The last failure by which something was left as it was. */
  private left: Failure | null = null;
  private isClosed = false;
  private cancelSave: () => void = () => undefined;
  private cancelBackUp: () => void = () => undefined;
  private cancelLatestBackUp: (() => void) | null = null;
  private readonly stay: () => void;
  private readonly listeners = new Set<() => void>();
  private readonly rebaseListeners = new Set<(rebased: Rebased<Document>) => void>();
  private readonly leftListeners = new Set<() => void>();

  constructor(
    private kept: Kept<Document>,
    private readonly doors: SaverDoors<Document>,
    unsaved: Unsaved<Document> | null = null,
  ) {
    this.present = kept.document;
    this.stay = doors.leaving?.(this.backUp) ?? (() => undefined);
    if (!unsaved) return;
    if (isSame(unsaved.document, kept.document) && !unsaved.sent?.length) doors.backUp(null);
    else this.takeUp(unsaved);
  }

  readonly getPresent = (): Document => this.present;
  readonly getSaving = (): Saving => this.saving;
  get revision(): number {
    return this.kept.revision;
  }
  /** What the server has, as far as is known here. */
  get keptDocument(): Document {
    return this.kept.document;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Told when another window's changes were put under those made here. */
  onRebase(listener: (rebased: Rebased<Document>) => void): () => void {
    this.rebaseListeners.add(listener);
    return () => this.rebaseListeners.delete(listener);
  }

  /** Told when what was changed here was given up again, since somebody was asked first and said no. */
  onLeft(listener: () => void): () => void {
    this.leftListeners.add(listener);
    return () => this.leftListeners.delete(listener);
  }

  change(document: Document): void {
    if (document === this.present) return;
    this.present = document;
    this.doors.changed?.();
    this.backUpSoon();
    if (this.theirs) return this.mergeWith(this.theirs);
    if (this.saving.type !== 'unreachable') this.saving = { type: 'saving' };
    this.saveSoon(saverTimes.saveAfterMs);
    this.tell();
  }

  /** Hears of what the server has, as from a list that was read again. What is not newer is not news. */
  arrive(kept: Kept<Document>): void {
    if (this.underWay) this.heard = kept;
    else if (kept.revision > (this.theirs ?? this.kept).revision) this.mergeWith(kept);
  }

  /** Settles the clashes that were told, in their order; what is missing is left as it is here. */
  choose(sides: readonly Side[]): void {
    if (!this.theirs) return;
    const places = this.clashes.map(({ at }) => at.join(' '));
    const choose = ({ at }: Clash): Side => sides[places.indexOf(at.join(' '))] ?? 'mine';
    const { document } = this.doors.merge(this.kept.document, this.present, this.theirs.document, choose);
    this.rebase(this.theirs, document);
  }

  /** Saves what is not saved yet and tells the revision. @throws whatever saving throws, or when it is left as it was. */
  async saveNow(): Promise<number> {
    this.cancelSave();
    const { left } = this;
    if (this.underWay) await this.underWay;
    if (!this.isSaved()) await this.save();
    if (this.left !== left) throw new Error(this.left?.says);
    if (this.saving.type === 'saving' && this.isSaved()) this.settle();
    if (this.saving.type !== 'saved') throw new Error('says' in this.saving ? this.saving.says : notChosen);
    return this.revision;
  }

  /** Reads again what the server has. @throws whatever loading throws. */
  async reload(): Promise<void> {
    this.arrive(await this.doors.load());
  }

  /** Does nothing more by itself, as when everything around it is gone. */
  close(): void {
    this.isClosed = true;
    this.cancelSave();
    this.cancelBackUps();
    this.stay();
  }

  /** Tries at once what waits to be tried again. */
  readonly tryAgain = (): void => {
    if (this.saving.type !== 'unreachable') return;
    this.tries = 0;
    this.saveSoon(0);
  };

  private takeUp(unsaved: Unsaved<Document>): void {
    const current = this.kept;
    this.present = unsaved.document;
    this.sent = unsaved.sent ?? [];
    if (unsaved.base.revision === current.revision) {
      this.saving = { type: 'saving' };
      this.saveSoon(0);
      return;
    }
    this.kept = unsaved.base;
    this.mergeWith(current);
  }

  private mergeWith(theirs: Kept<Document>): void {
    // A save whose answer was lost is no other window's.
    if (this.sent.some((each) => isSame(each, theirs.document))) this.kept = theirs;
    const versions = [this.kept.document, this.present, theirs.document] as const;
    const { document, clashes } = this.doors.merge(...versions);
    if (clashes.length === 0) return this.rebase(theirs, document);
    this.cancelSave();
    this.theirs = theirs;
    this.clashes = clashes;
    this.saving = { type: 'clash', clashes: this.doors.tell(versions, clashes) };
    this.tell();
  }

  private rebase(theirs: Kept<Document>, merged: Document): void {
    const rebased = { base: this.kept.document, theirs: theirs.document, mine: this.present, merged };
    this.kept = theirs;
    this.theirs = null;
    this.sent = [];
    this.clashes = [];
    this.present = merged;
    for (const listener of this.rebaseListeners) listener(rebased);
    if (this.isSaved()) return this.settle();
    this.saving = { type: 'saving' };
    this.backUpSoon();
    this.saveSoon(saverTimes.saveAfterMs);
    this.tell();
  }

  private backUpSoon(): void {
    this.cancelBackUp();
    if (this.isClosed) return;
    this.cancelBackUp = this.doors.later(saverTimes.backUpAfterMs, this.backUp);
    this.cancelLatestBackUp ??= this.doors.later(saverTimes.backUpAtLeastEveryMs, this.backUp);
  }

  private readonly backUp = (): void => {
    this.cancelBackUps();
    // What was taken back before it was saved must not come again.
    this.doors.backUp(this.isSaved() ? null : { base: this.kept, document: this.present, sent: this.sent });
  };

  private cancelBackUps(): void {
    this.cancelBackUp();
    this.cancelLatestBackUp?.();
    this.cancelLatestBackUp = null;
  }

  private saveSoon(ms: number): void {
    this.cancelSave();
    if (this.isClosed) return;
    this.cancelSave = this.doors.later(ms, () => void this.save());
  }

  private save(): Promise<void> {
    this.underWay ??= this.saveOnce().finally(() => {
      this.underWay = null;
      if (this.heard) this.arrive(this.heard);
      this.heard = null;
      if (this.saving.type === 'saving') this.saveSoon(saverTimes.saveAfterMs);
    });
    return this.underWay;
  }

  private async saveOnce(): Promise<void> {
    if (this.theirs) return;
    if (this.isSaved()) return this.settle();
    const document = this.present;
    this.sent = [...this.sent.filter((each) => each !== document), document].slice(-mostSent);
    try {
      const { revision } = await this.doors.save(this.kept, document);
      this.tries = 0;
      this.sent = [];
      this.kept = { revision, document };
      if (this.isSaved()) return this.settle();
      this.saving = { type: 'saving' };
    } catch (error) {
      await this.fail(error);
    }
    this.tell();
  }

  private async fail(error: unknown): Promise<void> {
    const failure = this.doors.failureOf(error);
    if (failure.type === 'stale') {
      const theirs = await this.doors.load().catch(() => null);
      if (theirs) return this.mergeWith(theirs);
    }
    if (failure.type === 'leftAsItWas') {
      this.left = failure;
      this.present = this.kept.document;
      this.sent = [];
      for (const listener of this.leftListeners) listener();
      return this.settle();
    }
    if (failure.type === 'refused') {
      this.sent = [];
      this.saving = { type: 'refused', says: failure.says };
      return;
    }
    this.saving = { type: 'unreachable', says: failure.says };
    this.saveSoon(saverTimes.retryAfterMs[Math.min(this.tries, saverTimes.retryAfterMs.length - 1)] ?? 0);
    this.tries += 1;
  }

  private settle(): void {
    this.saving = { type: 'saved' };
    this.cancelSave();
    this.cancelBackUps();
    this.doors.backUp(null);
    this.tell();
  }

  /** Not while something else was sent that may have arrived, or may yet. */
  private isSaved(): boolean {
    return this.sent.length === 0 && isSame(this.present, this.kept.document);
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}

const notChosen = 'Another window changed the same thing. Choose first what is to stay.';
