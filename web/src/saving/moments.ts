let latest = 0;

/**
 * When changes were made, as numbers that only grow, so that of several histories it is known which one's last change
 * is the latest in this window.
 */
export class Moments {
  private done: readonly number[] = [];
  private undone: readonly number[] = [];

  /** The moment of what would be undone next; 0 for nothing. */
  get lastAt(): number {
    return this.done.at(-1) ?? 0;
  }

  /** The moment of what would be done again next; 0 for nothing. */
  get nextAt(): number {
    return this.undone.at(-1) ?? 0;
  }

  /** A change was made, or joined the one before it; `count` is how many can be undone by now. */
  did(count: number): void {
    latest += 1;
    const before = this.done.slice(0, this.done.length >= count ? -1 : undefined);
    this.done = [...before, latest].slice(-count);
    this.undone = [];
  }

  undid(): void {
    this.undone = [...this.undone, this.lastAt];
    this.done = this.done.slice(0, -1);
  }

  redid(): void {
    this.done = [...this.done, this.nextAt];
    this.undone = this.undone.slice(0, -1);
  }
}
