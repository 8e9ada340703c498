import type { WebSocket } from 'ws';
import type { Clock, Stop } from '../clock/clock';
import type { LiveLine } from './liveLine.service';
import { readBoard } from './said';
import { Socket } from './socket';

const showEveryMs = 250;

/** The switchboard: everything on the line at a glance, a few times a second at most. */
export class BoardSocket {
  private readonly socket: Socket;
  private stopShowing: Stop | null = null;

  constructor(
    socket: WebSocket,
    private readonly line: LiveLine,
    clock: Clock,
  ) {
    const stop = line.watch(() => {
      this.stopShowing ??= clock.after(showEveryMs, () => this.show());
    });
    this.socket = new Socket(socket, clock, {
      onText: (text) => {
        const said = readBoard(text);
        if (said) line.actOutside(said.callId, said.act);
      },
      onVoice: () => undefined,
      onClose: () => {
        stop();
        this.stopShowing?.();
      },
    });
    this.show();
  }

  private show(): void {
    this.stopShowing = null;
    const { line } = this;
    this.socket.send({ type: 'board', board: line.board(), nowMs: line.now(), isPretended: line.isPretended });
  }
}
