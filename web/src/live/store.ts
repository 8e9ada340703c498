import { useSyncExternalStore } from 'react';

/** Something that is seen as it is now, and told of when it changes. */
export abstract class Store<View extends object> {
  private readonly listeners = new Set<() => void>();

  constructor(protected view: View) {}

  readonly getView = (): View => this.view;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  protected set(changes: Partial<View>): void {
    this.view = { ...this.view, ...changes };
    for (const listener of this.listeners) listener();
  }
}

export function useStore<View extends object>(store: Store<View>): View {
  return useSyncExternalStore(store.subscribe, store.getView);
}
