/**
 * Runs something whenever this window may be gone soon: it is closed, left, or put behind others on a phone (W3C Page
 * Visibility Level 2). The answer takes that back.
 */
export function onLeaving(run: () => void): () => void {
  const whenHidden = (): void => {
    if (document.visibilityState === 'hidden') run();
  };
  window.addEventListener('pagehide', run);
  document.addEventListener('visibilitychange', whenHidden);
  return () => {
    window.removeEventListener('pagehide', run);
    document.removeEventListener('visibilitychange', whenHidden);
  };
}
