import type { RawData, WebSocket } from 'ws';
import { voiceFrameBytes } from '@locutor/core/exchange';
import { inTurn } from '../clock/breath';
import type { Clock, Stop } from '../clock/clock';
import { enclosed } from '../log/enclosed';

/** How much may come over a socket: a key at a time and voice in frames, with room for bursts. */
const messagesPerSecond = 15;
const framesPerSecond = 75;
const burstSeconds = 4;
/** What is not taken off at the other end: voice is left out first, then the line is cut. */
const fullBytes = 64 * 1024;
const tooFullBytes = 1024 * 1024;
const pingEveryMs = 10_000;

interface Listener {
  readonly onText: (text: string) => void;
  readonly onVoice: (frame: Uint8Array) => void;
  readonly onClose: () => void;
}

/** A socket that stands up to floods, to a reader who is slow, and to one who is gone without a word. */
export class Socket {
  private isAlive = true;
  private readonly texts: Bucket;
  private readonly frames: Bucket;
  private readonly stopPings: Stop;

  constructor(
    private readonly socket: WebSocket,
    clock: Clock,
    listener: Listener,
  ) {
    this.texts = new Bucket(messagesPerSecond, clock);
    this.frames = new Bucket(framesPerSecond, clock);
    const end = (): void => socket.terminate();
    const hear = enclosed('what came over a socket', listener.onText, end);
    socket.on(
      'message',
      enclosed(
        'what came over a socket',
        (data: RawData, isBinary: boolean) => {
          const bytes = bytesOf(data);
          if (isBinary) this.takeVoice(bytes, listener);
          else if (this.texts.takes()) inTurn(() => hear(bytes.toString('utf8')));
        },
        end,
      ),
    );
    socket.on('pong', () => (this.isAlive = true));
    socket.on('error', end);
    const over = enclosed('the end of a socket', () => {
      this.stopPings();
      listener.onClose();
    });
    socket.on('close', () => inTurn(over));
    this.stopPings = clock.every(pingEveryMs, () => this.askWhetherThere());
  }

  send(message: object): void {
    if (this.socket.bufferedAmount > tooFullBytes) return this.socket.terminate();
    if (this.socket.readyState === this.socket.OPEN) this.socket.send(JSON.stringify(message));
  }

  sendVoice(frame: Uint8Array): void {
    const { socket } = this;
    if (socket.readyState === socket.OPEN && socket.bufferedAmount < fullBytes) socket.send(frame);
  }

  close(why: string): void {
    this.socket.close(1008, why);
  }

  private takeVoice(bytes: Buffer, { onVoice }: Listener): void {
    if (bytes.length === voiceFrameBytes && this.frames.takes()) onVoice(bytes);
  }

  private askWhetherThere(): void {
    if (!this.isAlive) return this.socket.terminate();
    this.isAlive = false;
    this.socket.ping();
  }
}

/** Lets so many a second through, and drops the rest. */
class Bucket {
  private left: number;
  private atMs: number;

  constructor(
    private readonly perSecond: number,
    private readonly clock: Clock,
  ) {
    this.atMs = clock.elapsedMs();
    this.left = perSecond * burstSeconds;
  }

  takes(): boolean {
    const nowMs = this.clock.elapsedMs();
    const grown = this.left + ((nowMs - this.atMs) / 1000) * this.perSecond;
    this.atMs = nowMs;
    this.left = Math.min(this.perSecond * burstSeconds, grown);
    if (this.left < 1) return false;
    this.left -= 1;
    return true;
  }
}

function bytesOf(data: RawData): Buffer {
  if (Buffer.isBuffer(data)) return data;
  return Array.isArray(data) ? Buffer.concat(data) : Buffer.from(data);
}
