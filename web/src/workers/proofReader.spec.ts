import type { Finding, ProofSubject } from '@locutor/core/proof';
import { FakeWorker } from '../testing/fakeWorker';
import { handOver, takeOver, type Handover } from './handover';
import { ProofReader, type ProofOf } from './proofReader';

const subject = (today: string) => ({ today }) as ProofSubject;
const finding = (rule: string) => [{ rule }] as unknown as readonly Finding[];

/** What a worker is asked to read, after what it was given before. */
const askedOf = ({ asked }: FakeWorker, before?: ProofSubject) => {
  const { of, subject: handed } = asked as { of: ProofOf; subject: Handover };
  return { of, subject: takeOver(before, handed) };
};
const tell = (worker: FakeWorker, of: ProofOf, rule: string, before?: string) =>
  worker.onmessage?.({ data: { of, findings: handOver(before && finding(before), finding(rule)) } });

describe('the proof, read in a worker', () => {
  it('reads one thing at a time, of what comes meanwhile the last, and tells whoever listens', () => {
    const worker = new FakeWorker();
    const reader = new ProofReader(() => worker.asWorker);
    const told = jest.fn();
    const stop = reader.subscribe(told);
    reader.read('draft', subject('1'));
    reader.read('draft', subject('2'));
    reader.read('draft', subject('3'));
    expect(askedOf(worker)).toEqual({ of: 'draft', subject: { today: '1' } });
    tell(worker, 'draft', 'one');
    expect(reader.findings('draft')).toEqual(finding('one'));
    expect(askedOf(worker, subject('1'))).toEqual({ of: 'draft', subject: { today: '3' } });
    stop();
    tell(worker, 'draft', 'three', 'one');
    expect([reader.findings('draft'), told.mock.calls.length]).toEqual([finding('three'), 1]);
  });

  it('is not read again with the same parts, and keeps the draft and what is on air apart', () => {
    const worker = new FakeWorker();
    const reader = new ProofReader(() => worker.asWorker);
    reader.read('draft', subject('1'));
    tell(worker, 'draft', 'one');
    worker.asked = null;
    reader.read('draft', subject('1'));
    expect(worker.asked).toBeNull();
    reader.read('air', subject('1'));
    expect(askedOf(worker)).toEqual({ of: 'air', subject: { today: '1' } });
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
    const [failing] = workers;
    if (failing) tell(failing, 'draft', 'one');
    reader.read('draft', subject('2'));
    workers[0]?.onerror?.({ message: 'out of memory' });
    expect(reader.findings('draft')).toEqual(finding('one'));
    reader.read('draft', subject('2'));
    expect(workers[0]?.isOver).toBe(true);
    const [, next] = workers;
    expect(next && askedOf(next)).toEqual({ of: 'draft', subject: { today: '2' } });
    if (next) tell(next, 'draft', 'two');
    expect(reader.findings('draft')).toEqual(finding('two'));
  });
});
