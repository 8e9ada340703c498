import { useLayoutEffect } from 'react';

interface Options {
  /** Whether it hears of keys before what is on the page does. */
  readonly first?: boolean;
  readonly isOff?: boolean;
}

/** Hears of keys that are pressed anywhere on the page: whoever sees the page may press at once. */
export function useKeyDown(
  onKey: (event: KeyboardEvent) => void,
  { first = false, isOff = false }: Options = {},
): void {
  // Before it is painted, and again whenever it is drawn anew, so that what it goes by is what is seen.
  useLayoutEffect(() => {
    if (isOff) return undefined;
    window.addEventListener('keydown', onKey, { capture: first });
    return () => window.removeEventListener('keydown', onKey, { capture: first });
  });
}
