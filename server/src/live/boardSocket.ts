import type { WebSocket } from 'ws';
import type { LiveLine } from './liveLine.service';
import { readBoard } from './said';
import { Socket } from './socket';

const showEveryMs = 250;

/** The switchboard: everything on the line at a glance, a few times a second at most. */
export class BoardSocket {
  private readonly socket: Socket;
  private timer: ReturnType<typeof setTimeout> | null = null;

  constructor(
    socket: WebSocket,
    private readonly line: LiveLine,
  ) {
    const stop = line.watch(() => {
      this.timer ??= setTimeout(() => this.show(), showEveryMs);
    });
    this.socket = new Socket(socket, {
      onText: (text) => {
        const said = readBoard(text);
        if (said) line.actOutside(said.callId, said.act);
      },
      onVoice: () => undefined,
      onClose: () => {
        stop();
        if (this.timer) clearTimeout(this.timer);
      },
    });
    this.show();
  }

  private show(): void {
    this.timer = null;
    const { line } = this;
    this.socket.send({ type: 'board', board: line.board(), nowMs: line.now(), isPretended: line.isPretended });
  }
}
