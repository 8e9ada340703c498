/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { Trial, Tried } from '@locutor/core/whatIf';
import { FakeWorker } from '../testing/fakeWorker';
import { useTrial } from './useWhatIf';

const workers: FakeWorker[] = [];
const start = (): Worker => {
  const worker = new FakeWorker();
  workers.push(worker);
  return worker.asWorker;
};
const trial = { runs: 50 } as Trial;
const tried = { runs: 50 } as Tried;

beforeEach(() => workers.splice(0));

describe('the trial of a plan in a worker', () => {
  it('tells how far it is, then what came of it, and the worker is over', () => {
    const { result } = renderHook(() => useTrial(start));
    expect(result.current.trying).toEqual({ type: 'nothing' });
    act(() => result.current.begin(trial));
    expect(workers[0]?.asked).toEqual({ type: 'plan', trial });
    act(() => workers[0]?.onmessage?.({ data: { type: 'done', runs: 12 } }));
    expect(result.current.trying).toEqual({ type: 'running', done: 12, of: 50 });
    act(() => workers[0]?.onmessage?.({ data: { type: 'tried', tried } }));
    expect(result.current.trying).toEqual({ type: 'tried', tried });
    expect(workers[0]?.isOver).toBe(true);
  });

  it('is ended by cancelling, by another one, and by leaving', () => {
    const { result, unmount } = renderHook(() => useTrial(start));
    act(() => result.current.begin(trial));
    act(() => result.current.cancel());
    expect([workers[0]?.isOver, result.current.trying.type]).toEqual([true, 'nothing']);
    act(() => result.current.begin(trial));
    act(() => result.current.begin(trial));
    expect([workers[1]?.isOver, workers[2]?.isOver]).toEqual([true, false]);
    unmount();
    expect(workers[2]?.isOver).toBe(true);
  });

  it('says why it failed', () => {
    const { result } = renderHook(() => useTrial(start));
    act(() => result.current.begin(trial));
    act(() => workers[0]?.onmessage?.({ data: { type: 'failed', message: 'no line' } }));
    expect(result.current.trying).toEqual({ type: 'failed', message: 'no line' });
    act(() => result.current.begin(trial));
    act(() => workers[1]?.onerror?.({ message: 'out of memory' }));
    expect(result.current.trying).toEqual({ type: 'failed', message: 'out of memory' });
  });
});
