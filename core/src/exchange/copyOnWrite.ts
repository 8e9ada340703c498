/** A map that is copied at its first change, so that the one it began as stays as it was. */
export class CopyOnWrite<Key, Value> {
  private own: Map<Key, Value> | null = null;

  constructor(private readonly kept: ReadonlyMap<Key, Value>) {}

  get now(): ReadonlyMap<Key, Value> {
    return this.own ?? this.kept;
  }

  get(key: Key): Value | undefined {
    return this.now.get(key);
  }

  set(key: Key, value: Value): void {
    this.own ??= new Map(this.kept);
    this.own.set(key, value);
  }

  delete(key: Key): void {
    if (!this.now.has(key)) return;
    this.own ??= new Map(this.kept);
    this.own.delete(key);
  }
}
