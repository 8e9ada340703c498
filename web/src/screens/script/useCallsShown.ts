import { useSyncExternalStore } from 'react';

const name = 'locutor calls shown';
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether the Script shows how many callers pressed each key; off until it is switched on, and kept in this browser. */
export function useCallsShown(): readonly [boolean, (shown: boolean) => void] {
  const isShown = useSyncExternalStore(subscribe, () => localStorage.getItem(name) === 'yes');
  const set = (shown: boolean): void => {
    if (shown) localStorage.setItem(name, 'yes');
    else localStorage.removeItem(name);
    for (const listener of listeners) listener();
  };
  return [isShown, set];
}
