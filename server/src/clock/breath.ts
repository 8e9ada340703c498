import { log } from '../log/log';

/** How long, in ms, work made of many short pieces may hold the thread before it lets voices and keys come in between. */
const mostMs = 4;

let beganMs = 0;
let isInTurn = false;
const waiting: (() => void)[] = [];

/**
 * Asked between pieces of work: undefined while this turn of the event loop has been short, else a promise that comes in a
 * later turn, after whatever else waits to be done. Of several that wait each has a turn of its own, in the order in which
 * they asked.
 */
export function breath(): Promise<void> | undefined {
  const nowMs = performance.now();
  if (!isInTurn) {
    isInTurn = true;
    beganMs = nowMs;
    setImmediate(() => (isInTurn = false));
  }
  if (waiting.length === 0 && nowMs - beganMs < mostMs) return undefined;
  return new Promise((resolve) => {
    waiting.push(resolve);
    if (waiting.length === 1) setImmediate(next);
  });
}

/**
 * Does one of very many short pieces of work that may all be due at once, such as what callers do: now, or in a later turn
 * where this one has been long. What is asked for later is never done earlier. The work ends its own failures; what escapes is logged.
 */
export function inTurn(work: () => void): void {
  const turn = breath();
  if (!turn) return work();
  turn.then(work).catch((err: unknown) => log.error({ err }, 'What was done in its turn failed'));
}

function next(): void {
  waiting.shift()?.();
  if (waiting.length > 0) setImmediate(next);
}
