interface Entry<Item> {
  readonly atMs: number;
  readonly order: number;
  readonly item: Item;
  isTakenBack: boolean;
  /** Forgets it where it can be taken back by a key. */
  readonly forget: (() => void) | null;
}

/** What is to happen on a virtual clock, in the order of time; what is due at the same instant in the order it was added. */
export class Agenda<Item> {
  private readonly heap: Entry<Item>[] = [];
  private added = 0;

  add(atMs: number, item: Item, forget: (() => void) | null = null): Entry<Item> {
    const entry = { atMs, order: (this.added += 1), item, isTakenBack: false, forget };
    this.heap.push(entry);
    this.rise(this.heap.length - 1);
    return entry;
  }

  /** Takes out what comes next; undefined when nothing is left. */
  next(): { readonly atMs: number; readonly item: Item } | undefined {
    for (;;) {
      const first = this.heap[0];
      const last = this.heap.pop();
      if (!first || !last) return undefined;
      if (this.heap.length > 0) {
        this.heap[0] = last;
        this.sink(0);
      }
      if (first.isTakenBack) continue;
      first.forget?.();
      return first;
    }
  }

  private rise(from: number): void {
    let index = from;
    while (index > 0) {
      const parent = (index - 1) >> 1;
      if (!this.isBefore(index, parent)) return;
      this.swap(index, parent);
      index = parent;
    }
  }

  private sink(from: number): void {
    let index = from;
    for (;;) {
      const left = 2 * index + 1;
      let least = this.isBefore(left, index) ? left : index;
      if (this.isBefore(left + 1, least)) least = left + 1;
      if (least === index) return;
      this.swap(index, least);
      index = least;
    }
  }

  private isBefore(one: number, other: number): boolean {
    const [first, second] = [this.heap[one], this.heap[other]];
    if (!first || !second) return false;
    return first.atMs === second.atMs ? first.order < second.order : first.atMs < second.atMs;
  }

  private swap(one: number, other: number): void {
    const [first, second] = [this.heap[one], this.heap[other]];
    if (first && second) [this.heap[one], this.heap[other]] = [second, first];
  }
}

/** What is on the agenda by a key: it can be taken back, and takes the place of what had the key before. */
export class Keyed<Key, Item> {
  private readonly entries = new Map<Key, Entry<Item>>();

  constructor(private readonly agenda: Agenda<Item>) {}

  add(key: Key, atMs: number, item: Item): void {
    this.cancel(key);
    this.entries.set(
      key,
      this.agenda.add(atMs, item, () => this.entries.delete(key)),
    );
  }

  cancel(key: Key): void {
    const entry = this.entries.get(key);
    if (!entry) return;
    entry.isTakenBack = true;
    this.entries.delete(key);
  }
}
