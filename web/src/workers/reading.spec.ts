import { FakeWorker } from '../testing/fakeWorker';
import { readAside } from './reading';

let worker: FakeWorker;
const read = (signal?: AbortSignal) => {
  worker = new FakeWorker();
  return readAside('ssml', { text: '<speak/>', voice: 'slt' }, signal, () => worker.asWorker);
};

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('a file read aside from the page', () => {
  it('gives what was read, and nothing of it goes on', async () => {
    const reading = read();
    expect(worker.asked).toEqual({ name: 'ssml', from: { text: '<speak/>', voice: 'slt' } });
    worker.onmessage?.({ data: { ok: true, made: 'READ' } });
    expect([await reading, worker.isOver]).toEqual(['READ', true]);
  });

  it('is given up when it takes too long, in words', async () => {
    const reading = read();
    jest.advanceTimersByTime(20_000);
    await expect(reading).rejects.toThrow('takes too long to read');
    expect(worker.isOver).toBe(true);
  });

  it('is given up when it is not wanted any more', async () => {
    const asker = new AbortController();
    const reading = read(asker.signal);
    asker.abort();
    await expect(reading).rejects.toMatchObject({ name: 'AbortError' });
    expect(worker.isOver).toBe(true);
    await expect(read(asker.signal)).rejects.toMatchObject({ name: 'AbortError' });
  });

  it('says when it failed, whether it says why or ends without a word', async () => {
    const failing = read();
    worker.onmessage?.({ data: { ok: false, message: 'bad line 3' } });
    await expect(failing).rejects.toThrow('This could not be read: bad line 3');
    const ended = read();
    worker.onerror?.({ message: '' });
    await expect(ended).rejects.toThrow('it was too much');
  });
});
