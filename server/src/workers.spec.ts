import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { keepThreads, Workers, WorkStopped } from './workers';

const folder = mkdtempSync(join(tmpdir(), 'locutor-workers-'));
const loadedMark = join(folder, 'loaded');
const file = join(folder, 'double.worker.js');

beforeAll(() => {
  writeFileSync(
    file,
    `const until = Date.now() + 400;
     while (Date.now() < until);
     require('node:fs').writeFileSync(${JSON.stringify(loadedMark)}, 'yes');
     module.exports = (task) => (task === 'never' ? new Promise(() => {}) : task * 2);`,
  );
});

afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('worker threads', () => {
  it('are not ended while they load, and the task that waited is told', async () => {
    const workers = new Workers<number, number>(file);
    const waiting = workers.run(2).catch((error: unknown) => error);
    await workers.end();
    expect(existsSync(loadedMark)).toBe(true);
    expect([4, expect.any(Error)]).toContainEqual(await waiting);
  });

  it('do one task after another, and give up what is given up', async () => {
    const workers = new Workers<number | string, number>(file);
    expect(await Promise.all([workers.run(1), workers.run(21)])).toEqual([2, 42]);
    const stop = new AbortController();
    const never = workers.run('never', { signal: stop.signal });
    stop.abort();
    await expect(never).rejects.toThrow(/abort/i);
    expect(await workers.run(4)).toBe(8);
    await workers.end();
  });

  it('give up what takes too long, and go on with the next', async () => {
    const workers = new Workers<number | string, number>(file, { longestMs: 1500 });
    await expect(workers.run('never')).rejects.toThrow('took longer than 2 s and was given up');
    expect(workers.state()).toEqual({ waiting: 0, busyMs: 0 });
    expect(await workers.run(4)).toBe(8);
    await workers.end();
  });

  it('say of what is under way when they end that the server stops', async () => {
    const workers = new Workers<number | string, number>(file);
    const never = workers.run('never').catch((error: unknown) => error);
    await workers.end();
    expect(await never).toBeInstanceOf(WorkStopped);
  });

  it('take nothing on once they end', async () => {
    const workers = new Workers<number, number>(file);
    await workers.end();
    await expect(workers.run(4)).rejects.toBeInstanceOf(WorkStopped);
  });

  it('leave their threads to the next ones where one server follows the other, and nothing of what they did', async () => {
    keepThreads();
    const first = new Workers<number | string, number>(file);
    expect(await first.run(4)).toBe(8);
    rmSync(loadedMark);
    const [never, late] = [first.run('never'), first.run(5)].map((run) => run.catch((error: unknown) => error));
    await first.end();
    expect([await never, await late]).toEqual([expect.any(WorkStopped), expect.any(WorkStopped)]);
    const second = new Workers<number, number>(file);
    expect([await second.run(6), await second.run(7)]).toEqual([12, 14]);
    await second.end();
    const third = new Workers<number, number>(file);
    rmSync(loadedMark);
    expect(await third.run(8)).toBe(16);
    expect(existsSync(loadedMark)).toBe(false);
    await third.end();
  });

  it('end at once when none was ever needed', async () => {
    await new Workers<number, number>(file).end();
  });
});
