import { readFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';

/**
 * Loaded into a server that is measured: answers the message `held` with how long, in ms, its main thread was held at the
 * longest since it was asked last, beyond the timer it is measured with; and how much the thread worked at most between two
 * ticks of that timer, which is no more on a machine that has others to serve as well (Linux only, else NaN).
 */
const resolution = 5;
const delay = monitorEventLoopDelay({ resolution });
delay.enable();
let workedMs = 0;
let before = cpuMs();
setInterval(() => {
  const now = cpuMs();
  workedMs = Math.max(workedMs, now - before);
  before = now;
}, resolution).unref();
process.on('message', (message) => {
  if (message !== 'held') return;
  process.send({ longestMs: Math.max(0, delay.max / 1e6 - resolution), workedMs });
  delay.reset();
  workedMs = 0;
});

/** The processor's time this thread has had. */
function cpuMs() {
  try {
    return Number(readFileSync('/proc/self/schedstat', 'utf8').split(' ')[0]) / 1e6;
  } catch {
    return Number.NaN;
  }
}
