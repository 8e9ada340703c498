import { breath, inTurn } from './breath';

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

  it('lets others in between whoever works beside it, one after the other', async () => {
    let turns = 0;
    let isOver = false;
    const count = (): void => {
      turns += 1;
      if (!isOver) setImmediate(count);
    };
    setImmediate(count);
    void breath();
    workFor(5);
    await Promise.all(
      Array.from({ length: 30 }, async () => {
        await breath();
        workFor(3);
      }),
    );
    isOver = true;
    // In one go it would be a single turn.
    expect(turns).toBeGreaterThan(10);
  });

  it('is done in the order it was asked for, a long turn being ended before', async () => {
    const done: number[] = [];
    const turnOf: number[] = [];
    let turns = 0;
    let isOver = false;
    const count = (): void => {
      turns += 1;
      if (!isOver) setImmediate(count);
    };
    setImmediate(count);
    for (let piece = 0; piece < 40; piece += 1) {
      inTurn(() => {
        workFor(1);
        done.push(piece);
        turnOf.push(turns);
      });
    }
    while (done.length < 40) await turn();
    isOver = true;
    expect(done).toEqual(Array.from({ length: 40 }, (_, piece) => piece));
    // The first few at once, each of the others in a turn of its own.
    expect(turnOf.filter((each) => each === turnOf[0]).length).toBeLessThan(10);
    expect(new Set(turnOf).size).toBeGreaterThan(30);
  });
});
