import type { TranscriptEntry } from '../call';
import { partingOf, traceOf } from './trace';

const entry = (type: string, atMs: number, more: object = {}): TranscriptEntry =>
  ({ type, atMs, ...more }) as unknown as TranscriptEntry;
const typesIn = (...types: string[]): readonly string[] =>
  traceOf(types.map((type, index) => entry(type, 1000 + index))).map(({ type }) => type);

describe('the trace of a call', () => {
  it.each([
    ...['blocked', 'line', 'sheet', 'key', 'spoke', 'dialledExtension', 'spelled', 'silence', 'ringing'],
    ...['ringingGroup', 'answered', 'notAnswered', 'queued', 'leftQueue', 'handedOver', 'recording'],
    ...['callRecording', 'ended'],
  ])('holds where the call went: %s', (type) => {
    expect(typesIn('called', type)).toEqual([type]);
  });

  it.each([
    ...['called', 'calledDirectly', 'said', 'askedToAccept', 'place', 'held', 'transferred', 'pin', 'heardMessage'],
    ...['greetingRecorded', 'message'],
  ])('leaves out what is said, and what follows from the rest: %s', (type) => {
    expect(typesIn('called', type, 'ended')).toEqual(['ended']);
  });

  it('counts its ms from when the call was answered, in whole ones', () => {
    const trace = traceOf([
      entry('called', 5000.4),
      entry('sheet', 5000.4, { sheetId: 'sheet:one' }),
      entry('key', 6200.9, { key: '1' }),
    ]);
    expect(trace).toEqual([
      { type: 'sheet', atMs: 0, sheetId: 'sheet:one' },
      { type: 'key', atMs: 1201, key: '1' },
    ]);
    expect(traceOf([])).toEqual([]);
  });
});

describe('where two calls part', () => {
  const trace = (...keys: string[]) => traceOf([entry('called', 0), ...keys.map((key) => entry('key', 10, { key }))]);

  it('is nowhere when the same happened in both', () => {
    expect(partingOf(trace('1', '2'), trace('1', '2'))).toBeNull();
    expect(partingOf([], [])).toBeNull();
  });

  it('is the first thing that is another', () => {
    expect(partingOf(trace('1', '2', '3'), trace('1', '9', '4'))).toBe(1);
    expect(partingOf(trace('1'), trace('2'))).toBe(0);
  });

  it('is the end of the shorter one when the other goes on', () => {
    expect(partingOf(trace('1', '2'), trace('1', '2', '3'))).toBe(2);
    expect(partingOf(trace('1', '2', '3'), trace('1', '2'))).toBe(2);
    expect(partingOf([], trace('1'))).toBe(0);
  });

  it.each(['atMs', 'waitedMs', 'forMs'])('is not that something took longer: %s', (name) => {
    const ring = (ms: number) => traceOf([entry('called', 0), entry('ringing', 5, { [name]: ms, phone: 'x' })]);
    expect(partingOf(ring(1000), ring(9000))).toBeNull();
  });

  it('is another person, another reason, or a message that was not kept', () => {
    const with_ = (more: object) => traceOf([entry('called', 0), entry('notAnswered', 5, more)]);
    expect(partingOf(with_({ why: 'busy' }), with_({ why: 'away' }))).toBe(0);
    expect(partingOf(with_({ target: { personId: 'a' } }), with_({ target: { personId: 'b' } }))).toBe(0);
    expect(partingOf(with_({ ms: 1 }), with_({ ms: 2 }))).toBe(0);
  });
});
