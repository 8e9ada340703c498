/** The browser's socket (W3C WebSocket), whose other end does what a spec says. */
export class FakeSocket {
  static readonly OPEN = 1;
  static all: FakeSocket[] = [];
  readyState = 0;
  readonly sent: unknown[] = [];
  onopen: () => void = () => undefined;
  onmessage: (event: { data: unknown }) => void = () => undefined;
  onclose: () => void = () => undefined;

  constructor(readonly url: string) {
    FakeSocket.all.push(this);
  }

  /** Sockets opened from here on are these. */
  static install(): void {
    FakeSocket.all = [];
    Object.assign(globalThis, { WebSocket: FakeSocket });
  }

  static latest(): FakeSocket {
    const socket = FakeSocket.all.at(-1);
    if (!socket) throw new Error('No socket was opened');
    return socket;
  }

  send(data: unknown): void {
    this.sent.push(data);
  }

  close(): void {
    this.readyState = 3;
    this.onclose();
  }

  /** The other end takes it. */
  opens(): void {
    this.readyState = FakeSocket.OPEN;
    this.onopen();
  }

  /** The other end says something. */
  says(message: object): void {
    this.onmessage({ data: JSON.stringify(message) });
  }

  /** What was said to the other end, but for voice. */
  get said(): readonly unknown[] {
    return this.sent.map((data) => (typeof data === 'string' ? (JSON.parse(data) as unknown) : data));
  }
}
