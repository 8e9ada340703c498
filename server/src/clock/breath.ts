/** How long, in ms, work made of many short pieces may hold the thread before it lets voices and keys come in between. */
const mostMs = 4;

let beganMs = 0;
let isInTurn = false;
const waiting: (() => void)[] = [];

/**
 * Asked between pieces of work: undefined while this turn of the event loop has been short, else a promise that comes in a
 * later turn, after whatever else waits to be done. Of several that wait each has a turn of its own.
 */
export function breath(): Promise<void> | undefined {
  const nowMs = performance.now();
  if (!isInTurn) {
    isInTurn = true;
    beganMs = nowMs;
    setImmediate(() => (isInTurn = false));
    return undefined;
  }
  if (nowMs - beganMs < mostMs) return undefined;
  return new Promise((resolve) => {
    waiting.push(resolve);
    if (waiting.length === 1) setImmediate(next);
  });
}

function next(): void {
  waiting.shift()?.();
  if (waiting.length > 0) setImmediate(next);
}
