import { FakeSocket } from '../testing/fakeSocket';
import { LineSocket } from './lineSocket';

const heard: unknown[] = [];
let lost: number;
let line: LineSocket<{ type: string }, { type: string }>;
const latest = (): FakeSocket => FakeSocket.latest();

beforeEach(() => {
  jest.useFakeTimers();
  FakeSocket.install();
  heard.length = 0;
  lost = 0;
  Object.assign(globalThis, {
    window: { location: { protocol: 'http:', host: '127.0.0.1:4140' } },
  });
  line = new LineSocket('handset', {
    onMessage: (message) => heard.push(message),
    onVoice: (frame) => heard.push(frame.length),
    onOpen: () => line.say({ type: 'hello' }),
    onLost: () => (lost += 1),
  });
  line.open();
});
afterEach(() => {
  line.close();
  jest.useRealTimers();
});

describe('a socket to the live line', () => {
  it('says what was said before it was open once it is, after what it says by itself', () => {
    line.say({ type: 'dial' });
    expect(latest().sent).toEqual([]);
    latest().opens();
    expect(latest().sent).toEqual(['{"type":"hello"}', '{"type":"dial"}']);
    line.say({ type: 'key' });
    expect(latest().sent).toHaveLength(3);
  });

  it('opens itself again when it is lost, and does not say late what was said meanwhile', () => {
    latest().opens();
    latest().close();
    expect(lost).toBe(1);
    line.say({ type: 'hangUp' });
    jest.advanceTimersByTime(1000);
    expect(FakeSocket.all).toHaveLength(2);
    latest().opens();
    expect(latest().sent).toEqual(['{"type":"hello"}']);
    line.say({ type: 'dial' });
    expect(latest().sent).toEqual(['{"type":"hello"}', '{"type":"dial"}']);
  });

  it('does not keep a flood for later', () => {
    for (let count = 0; count < 1000; count += 1) line.say({ type: 'key' });
    latest().opens();
    expect(latest().sent.length).toBeLessThan(30);
  });

  it('stays closed once it was closed, and says nothing any more', () => {
    latest().opens();
    line.close();
    line.say({ type: 'dial' });
    jest.advanceTimersByTime(10_000);
    expect([FakeSocket.all.length, lost]).toEqual([1, 0]);
    expect(latest().sent).toEqual(['{"type":"hello"}']);
  });

  it('hands on words and frames of voice, and drops frames of another length', () => {
    latest().opens();
    latest().onmessage({ data: '{"type":"call"}' });
    latest().onmessage({ data: new ArrayBuffer(160) });
    latest().onmessage({ data: new ArrayBuffer(77) });
    expect(heard).toEqual([{ type: 'call' }, 160]);
  });
});
