import type { Finding, ProofSubject } from '@locutor/core/proof';
import { FakeWorker } from '../testing/fakeWorker';
import { ProofReader } from './proofReader';

const subject = (today: string) => ({ today }) as ProofSubject;
const finding = (rule: string) => [{ rule }] as unknown as readonly Finding[];

describe('the proof, read in a worker', () => {
  it('reads one thing at a time, of what comes meanwhile the last, and tells whoever listens', () => {
    const worker = new FakeWorker();
    const reader = new ProofReader(() => worker.asWorker);
    const told = jest.fn();
    const stop = reader.subscribe(told);
    reader.read('draft', subject('1'));
    reader.read('draft', subject('2'));
    reader.read('draft', subject('3'));
    expect(worker.asked).toEqual({ of: 'draft', subject: { today: '1' } });
    worker.onmessage?.({ data: { of: 'draft', findings: finding('one') } });
    expect(reader.findings('draft')).toEqual(finding('one'));
    expect(worker.asked).toEqual({ of: 'draft', subject: { today: '3' } });
    stop();
    worker.onmessage?.({ data: { of: 'draft', findings: finding('three') } });
    expect([reader.findings('draft'), told.mock.calls.length]).toEqual([finding('three'), 1]);
  });

  it('is not read again with the same parts, and keeps the draft and what is on air apart', () => {
    const worker = new FakeWorker();
    const reader = new ProofReader(() => worker.asWorker);
    reader.read('draft', subject('1'));
    worker.onmessage?.({ data: { of: 'draft', findings: finding('one') } });
    worker.asked = null;
    reader.read('draft', subject('1'));
    expect(worker.asked).toBeNull();
    reader.read('air', subject('1'));
    expect(worker.asked).toEqual({ of: 'air', subject: { today: '1' } });
    expect(reader.findings('air')).toEqual([]);
  });

  it('begins anew after a worker that failed', () => {
    const workers: FakeWorker[] = [];
    const reader = new ProofReader(() => {
      const worker = new FakeWorker();
      workers.push(worker);
      return worker.asWorker;
    });
    reader.read('draft', subject('1'));
    workers[0]?.onerror?.({ message: 'out of memory' });
    reader.read('draft', subject('1'));
    expect(workers[0]?.isOver).toBe(true);
    expect(workers[1]?.asked).toEqual({ of: 'draft', subject: { today: '1' } });
  });
});
