import { EventEmitter } from 'node:events';
import type { WebSocket } from 'ws';
import { inTurn } from '../clock/breath';
import { HandClock } from '../testing/handClock';
import { Socket } from './socket';

/** The near end of a socket whose far end does what the spec says. */
class FarEnd extends EventEmitter {
  readonly OPEN = 1;
  readyState = 1;
  bufferedAmount = 0;
  sent = 0;
  pings = 0;
  isCut = false;

  send(): void {
    this.sent += 1;
  }

  ping(): void {
    this.pings += 1;
  }

  terminate(): void {
    this.isCut = true;
    this.emit('close');
  }
}

let clock: HandClock;
let far: FarEnd;
let socket: Socket;
let texts: string[];
let frames: number;
let closed: number;

/** What came over the socket so far is heard in its turn. */
const allHeard = () => new Promise<void>((resolve) => inTurn(resolve));

beforeEach(() => {
  clock = new HandClock();
  far = new FarEnd();
  texts = [];
  frames = 0;
  closed = 0;
  socket = new Socket(far as unknown as WebSocket, clock, {
    onText: (text) => texts.push(text),
    onVoice: () => (frames += 1),
    onClose: () => (closed += 1),
  });
});
afterEach(() => far.emit('close'));

describe('a socket of the live line', () => {
  it('is cut when the far end is gone without a word', async () => {
    await clock.pass(10_000);
    expect([far.pings, far.isCut]).toEqual([1, false]);
    await clock.pass(10_000);
    expect(far.isCut).toBe(true);
    await allHeard();
    expect(closed).toBe(1);
  });

  it('stays while the far end answers', async () => {
    for (let count = 0; count < 12; count += 1) {
      await clock.pass(10_000);
      far.emit('pong');
    }
    expect(far.isCut).toBe(false);
  });

  it('leaves voice out for a slow reader, and is cut when even words pile up', () => {
    far.bufferedAmount = 100 * 1024;
    socket.sendVoice(new Uint8Array(160));
    expect(far.sent).toBe(0);
    socket.send({ type: 'entries' });
    expect(far.sent).toBe(1);
    far.bufferedAmount = 2 * 1024 * 1024;
    socket.send({ type: 'entries' });
    expect(far.isCut).toBe(true);
  });

  it('passes on a burst of keys, but not a flood; later keys are heard again', async () => {
    for (let count = 0; count < 10_000; count += 1) far.emit('message', Buffer.from('{}'), false);
    await allHeard();
    expect(texts.length).toBeLessThan(200);
    const before = texts.length;
    await clock.pass(1000);
    far.emit('pong');
    far.emit('message', Buffer.from('{}'), false);
    await allHeard();
    expect(texts.length).toBe(before + 1);
  });

  it('takes only frames of voice that are as long as frames are', () => {
    for (const length of [0, 159, 160, 161, 4000]) far.emit('message', Buffer.alloc(length), true);
    expect(frames).toBe(1);
  });
});
