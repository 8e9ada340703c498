import { useCallback } from 'react';

/** Marks what stands in the margin beside its part. */
export const marginNote = 'data-margin-note';

const gapPx = 10;

/**
 * Puts the notes in the margin below one another where they would overlap, each as near to its part as there is room. Where
 * there is no margin they stand in the text, and stay there.
 *
 * @returns the ref of whatever is around them
 */
export function useMargin(): (around: HTMLElement | null) => (() => void) | undefined {
  return useCallback((around: HTMLElement | null) => {
    if (!around || typeof ResizeObserver === 'undefined') return undefined;
    const place = (): void => settle(around);
    const sizes = new ResizeObserver(place);
    let watched: readonly HTMLElement[] = [];
    const watch = (): void => {
      const notes = notesIn(around);
      // Letters that are typed change nothing of that.
      if (
        watched.length > 0 &&
        notes.length === watched.length - 1 &&
        notes.every((each, at) => each === watched[at + 1])
      ) {
        return;
      }
      watched = [around, ...notes];
      sizes.disconnect();
      for (const each of watched) sizes.observe(each);
    };
    const changes = new MutationObserver(watch);
    changes.observe(around, { childList: true, subtree: true });
    watch();
    return () => {
      sizes.disconnect();
      changes.disconnect();
    };
  }, []);
}

function notesIn(around: HTMLElement): readonly HTMLElement[] {
  return [...around.querySelectorAll<HTMLElement>(`[${marginNote}]`)];
}

function settle(around: HTMLElement): void {
  const top = around.getBoundingClientRect().top;
  let bottom = 0;
  for (const note of notesIn(around)) {
    const part = note.parentElement;
    const isInMargin = getComputedStyle(note).position === 'absolute';
    if (!part || !isInMargin) {
      note.style.transform = '';
      continue;
    }
    const natural = part.getBoundingClientRect().top - top + note.offsetTop;
    const moved = Math.max(0, bottom - natural);
    note.style.transform = moved > 0 ? `translateY(${moved}px)` : '';
    bottom = natural + moved + note.offsetHeight + gapPx;
  }
  // The last one may be taller than all that it stands beside.
  around.style.minHeight = bottom > 0 ? `${bottom}px` : '';
}
