import { voiceFrameBytes } from '@locutor/core/exchange';

interface Listener<Hears> {
  readonly onMessage: (message: Hears) => void;
  readonly onVoice?: (frame: Uint8Array<ArrayBuffer>) => void;
  /** It is open, for the first time or again. */
  readonly onOpen?: () => void;
  readonly onLost?: () => void;
}

const againAfterMs = 1000;
const mostUnsaid = 20;

/**
 * A socket to the live line that opens itself again when it is lost. What is said before it was ever open, as by somebody
 * who is quick to press a button on a page just loaded, is said as soon as it is. What is said while it is lost is not: an
 * answer or a key that comes late would be for another call.
 */
export class LineSocket<Says, Hears> {
  private socket: WebSocket | null = null;
  private isClosed = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private unsaid: Says[] = [];
  private wasOpen = false;

  constructor(
    private readonly path: string,
    private readonly listener: Listener<Hears>,
  ) {}

  say(message: Says): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(JSON.stringify(message));
    else if (!this.wasOpen && !this.isClosed && this.unsaid.length < mostUnsaid) this.unsaid.push(message);
  }

  sendVoice(frame: Uint8Array<ArrayBuffer>): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(frame);
  }

  close(): void {
    this.isClosed = true;
    this.unsaid = [];
    clearTimeout(this.timer);
    this.socket?.close();
  }

  open(): void {
    this.isClosed = false;
    const { protocol, host } = window.location;
    const socket = new WebSocket(`${protocol === 'https:' ? 'wss' : 'ws'}://${host}/api/live/${this.path}`);
    socket.binaryType = 'arraybuffer';
    socket.onopen = () => {
      this.wasOpen = true;
      this.listener.onOpen?.();
      for (const message of this.unsaid.splice(0)) this.say(message);
    };
    socket.onmessage = ({ data }: MessageEvent<string | ArrayBuffer>) => this.take(data);
    socket.onclose = () => {
      if (this.isClosed) return;
      this.listener.onLost?.();
      this.timer = setTimeout(() => this.open(), againAfterMs);
    };
    this.socket = socket;
  }

  private take(data: string | ArrayBuffer): void {
    if (typeof data === 'string') return this.listener.onMessage(JSON.parse(data) as Hears);
    if (data.byteLength === voiceFrameBytes) this.listener.onVoice?.(new Uint8Array(data));
  }
}
