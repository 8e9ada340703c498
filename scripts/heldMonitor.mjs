import { monitorEventLoopDelay } from 'node:perf_hooks';

/**
 * Loaded into a server that is measured: answers the message `held` with how long, in ms, its main thread was held at the
 * longest since it was asked last, beyond the timer it is measured with.
 */
const resolution = 5;
const delay = monitorEventLoopDelay({ resolution });
delay.enable();
process.on('message', (message) => {
  if (message !== 'held') return;
  process.send({ longestMs: Math.max(0, delay.max / 1e6 - resolution) });
  delay.reset();
});
