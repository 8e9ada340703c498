import type { Path, Sheet } from '@locutor/core/line';
import { useSyncExternalStore } from 'react';

/** What was cut or copied: steps of a path, or a whole sheet. */
export type Clip = { readonly type: 'steps'; readonly steps: Path } | { readonly type: 'sheet'; readonly sheet: Sheet };

const place = 'locutor.clipboard';
const listeners = new Set<() => void>();
let text: string | null = null;
let clip: Clip | null = null;

/** Keeps a clip for pasting here, on another line or in another window of this browser. */
export function putOnClipboard(next: Clip): void {
  localStorage.setItem(place, JSON.stringify(next));
  for (const listener of listeners) listener();
}

/** What was cut or copied last, wherever in this browser; null when nothing was. */
export function useClipboard(): Clip | null {
  return useSyncExternalStore(subscribe, clipNow);
}

export function clipNow(): Clip | null {
  const stored = localStorage.getItem(place);
  if (stored !== text) {
    text = stored;
    clip = stored ? (JSON.parse(stored) as Clip) : null;
  }
  return clip;
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}
