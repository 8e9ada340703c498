import { Injectable } from '@nestjs/common';
import { Clock, type Stop } from '../clock/clock';
import { enclosed } from '../log/enclosed';

/** Answers of the API that are others by now. */
export interface Change {
  /** A path, or how paths begin; `*` stands for one part of it. */
  readonly path: string;
  /** The newest revision that was made, where those who have it already need not ask again; null where that is not known. */
  readonly revision: number | null;
}

/** What changes within this time is told together. */
const togetherMs = 100;

/** Tells whoever listens what of the API answers otherwise, a moment after it does. */
@Injectable()
export class Changes {
  private readonly listeners = new Set<(changes: readonly Change[]) => void>();
  private readonly waiting = new Map<string, number | null>();
  private stopWaiting: Stop | null = null;

  constructor(private readonly clock: Clock) {}

  watch(listener: (changes: readonly Change[]) => void): Stop {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  tell({ path, revision }: Change): void {
    if (this.listeners.size === 0) return;
    const before = this.waiting.get(path);
    const isKnown = revision !== null && before !== null;
    this.waiting.set(path, isKnown ? Math.max(revision, before ?? 0) : null);
    this.stopWaiting ??= this.clock.after(togetherMs, () => this.tellNow());
  }

  private tellNow(): void {
    this.stopWaiting = null;
    const changes = [...this.waiting].map(([path, revision]): Change => ({ path, revision }));
    this.waiting.clear();
    for (const listener of this.listeners) enclosed('a window that is told of changes', listener)(changes);
  }
}
