/** Runs something after so many ms; the answer takes that back. */
export function laterBy(ms: number, run: () => void): () => void {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
}
