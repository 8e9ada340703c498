/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { FakeWorker } from '../testing/fakeWorker';
import { useWorker } from './useWorker';

const workers: FakeWorker[] = [];
const start = (): Worker => {
  const worker = new FakeWorker();
  workers.push(worker);
  return worker.asWorker;
};
const makes = (worker: FakeWorker | undefined, data: unknown): void => act(() => worker?.onmessage?.({ data }));
const asking = (first: string | undefined) =>
  renderHook(({ asked }: { asked: string | undefined }) => useWorker<string, string>(start, asked), {
    initialProps: { asked: first },
  });
const settle = (): void => act(() => jest.advanceTimersByTime(250));

beforeEach(() => {
  jest.useFakeTimers();
  workers.splice(0);
});
afterEach(() => jest.useRealTimers());

describe('what a worker makes', () => {
  it('is there once it was asked for, and the worker is over then', () => {
    const { result } = asking('one');
    expect(workers).toEqual([]);
    settle();
    const [worker] = workers;
    expect([worker?.asked, result.current]).toEqual(['one', undefined]);
    makes(worker, 'ONE');
    expect([result.current, worker?.isOver]).toEqual(['ONE', true]);
  });

  it('is asked for once, of the last of many quick edits', () => {
    const { rerender } = asking('a');
    for (const asked of ['ab', 'abc', 'abcd']) {
      rerender({ asked });
      act(() => jest.advanceTimersByTime(100));
    }
    settle();
    expect(workers.map(({ asked }) => asked)).toEqual(['abcd']);
  });

  it('stays until the new one is there; work on an earlier one is given up', () => {
    const { result, rerender } = asking('one');
    settle();
    makes(workers[0], 'ONE');
    rerender({ asked: 'two' });
    settle();
    rerender({ asked: 'three' });
    expect(workers[1]?.isOver).toBe(true);
    settle();
    expect(result.current).toBe('ONE');
    makes(workers[2], 'THREE');
    expect(result.current).toBe('THREE');
  });

  it('is nothing while nothing is asked, and what goes wrong in it is logged', () => {
    const { result, rerender } = asking(undefined);
    settle();
    expect(workers).toEqual([]);
    const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    rerender({ asked: 'one' });
    settle();
    workers[0]?.onerror?.({ message: 'out of memory' });
    expect(logged).toHaveBeenCalledWith('The worker failed:', 'out of memory');
    expect(result.current).toBeUndefined();
    logged.mockRestore();
  });

  it('is nothing again once nothing is asked, also when the same is asked later', () => {
    const { result, rerender } = asking('one');
    settle();
    makes(workers[0], 'ONE');
    rerender({ asked: undefined });
    expect(result.current).toBeUndefined();
    rerender({ asked: 'one' });
    expect(result.current).toBeUndefined();
  });

  it('is given up with whoever asked', () => {
    const { unmount } = asking('one');
    settle();
    unmount();
    expect(workers[0]?.isOver).toBe(true);
    const early = asking('two');
    early.unmount();
    settle();
    expect(workers).toHaveLength(1);
  });
});
