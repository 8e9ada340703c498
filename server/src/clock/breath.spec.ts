import { breath } from './breath';

const workFor = (ms: number): void => {
  const untilMs = performance.now() + ms;
  while (performance.now() < untilMs);
};
const turn = () => new Promise((resolve) => setImmediate(resolve));

describe('work made of many pieces', () => {
  it('lets others in between once it has taken long, and not before', async () => {
    await turn();
    expect(breath()).toBeUndefined();
    let came = 0;
    const timer = setInterval(() => (came += 1), 1);
    for (let piece = 0; piece < 40; piece += 1) {
      workFor(2);
      await breath();
    }
    clearInterval(timer);
    expect(came).toBeGreaterThan(5);
  });

  it('lets others in between whoever works beside it', async () => {
    let longestMs = 0;
    let lastMs = performance.now();
    const timer = setInterval(() => {
      longestMs = Math.max(longestMs, performance.now() - lastMs);
      lastMs = performance.now();
    }, 1);
    await Promise.all(
      Array.from({ length: 30 }, async () => {
        await breath();
        workFor(3);
      }),
    );
    clearInterval(timer);
    // All of it in one go would be 90 ms.
    expect(longestMs).toBeLessThan(60);
  });
});
