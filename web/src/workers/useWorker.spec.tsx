/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useWorker } from './useWorker';

/** A worker that answers when the spec says so. */
class FakeWorker {
  static all: FakeWorker[] = [];
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  asked: unknown;
  isOver = false;

  constructor() {
    FakeWorker.all.push(this);
  }

  postMessage(asked: unknown): void {
    this.asked = asked;
  }

  terminate(): void {
    this.isOver = true;
  }

  makes(data: unknown): void {
    act(() => this.onmessage?.({ data }));
  }
}

const start = (): Worker => new FakeWorker() as unknown as Worker;
const asking = (first: string | undefined) =>
  renderHook(({ asked }: { asked: string | undefined }) => useWorker<string, string>(start, asked), {
    initialProps: { asked: first },
  });
const settle = (): void => act(() => jest.advanceTimersByTime(250));

beforeEach(() => {
  jest.useFakeTimers();
  FakeWorker.all = [];
});
afterEach(() => jest.useRealTimers());

describe('what a worker makes', () => {
  it('is there once it was asked for, and the worker is over then', () => {
    const { result } = asking('one');
    expect(FakeWorker.all).toEqual([]);
    settle();
    const [worker] = FakeWorker.all;
    expect([worker?.asked, result.current]).toEqual(['one', undefined]);
    worker?.makes('ONE');
    expect([result.current, worker?.isOver]).toEqual(['ONE', true]);
  });

  it('is asked for once, of the last of many quick edits', () => {
    const { rerender } = asking('a');
    for (const asked of ['ab', 'abc', 'abcd']) {
      rerender({ asked });
      act(() => jest.advanceTimersByTime(100));
    }
    settle();
    expect(FakeWorker.all.map(({ asked }) => asked)).toEqual(['abcd']);
  });

  it('stays until the new one is there; work on an earlier one is given up', () => {
    const { result, rerender } = asking('one');
    settle();
    FakeWorker.all[0]?.makes('ONE');
    rerender({ asked: 'two' });
    settle();
    rerender({ asked: 'three' });
    expect(FakeWorker.all[1]?.isOver).toBe(true);
    settle();
    expect(result.current).toBe('ONE');
    FakeWorker.all[2]?.makes('THREE');
    expect(result.current).toBe('THREE');
  });

  it('is nothing while nothing is asked, and what goes wrong in it is logged', () => {
    const { result, rerender } = asking(undefined);
    settle();
    expect(FakeWorker.all).toEqual([]);
    const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    rerender({ asked: 'one' });
    settle();
    FakeWorker.all[0]?.onerror?.({ message: 'out of memory' });
    expect(logged).toHaveBeenCalledWith('The worker failed:', 'out of memory');
    expect(result.current).toBeUndefined();
    logged.mockRestore();
  });

  it('is nothing again once nothing is asked, also when the same is asked later', () => {
    const { result, rerender } = asking('one');
    settle();
    FakeWorker.all[0]?.makes('ONE');
    rerender({ asked: undefined });
    expect(result.current).toBeUndefined();
    rerender({ asked: 'one' });
    expect(result.current).toBeUndefined();
  });

  it('is given up with whoever asked', () => {
    const { unmount } = asking('one');
    settle();
    unmount();
    expect(FakeWorker.all[0]?.isOver).toBe(true);
    const early = asking('two');
    early.unmount();
    settle();
    expect(FakeWorker.all).toHaveLength(1);
  });
});
