import type { WebSocket } from 'ws';
import type { Clock, Stop } from '../clock/clock';
import type { LiveLine } from '../live/liveLine.service';
import { readBoard } from './said';
import type { PhoneEar, StandInLine } from './standInLine';
import { Socket } from '../sockets/socket';

const showEveryMs = 250;

/** The switchboard: everything on the line at a glance, a few times a second at most; and the outside phones answered there. */
export class BoardSocket {
  private readonly socket: Socket;
  private stopShowing: Stop | null = null;

  constructor(
    socket: WebSocket,
    private readonly line: LiveLine,
    standIn: StandInLine,
    clock: Clock,
  ) {
    const ear: PhoneEar = {
      play: (items) => this.socket.send({ type: 'play', items }),
      stop: () => this.socket.send({ type: 'stop' }),
      sendVoice: (frame) => this.socket.sendVoice(frame),
    };
    const stop = line.watch(() => {
      this.stopShowing ??= clock.after(showEveryMs, () => this.show());
    });
    this.socket = new Socket(socket, clock, {
      onText: (text) => {
        const said = readBoard(text);
        if (said) standIn.actOutside(said.callId, said.act, ear);
      },
      onVoice: (frame) => standIn.voiceOutside(ear, frame),
      onClose: () => {
        stop();
        standIn.leaveOutside(ear);
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
