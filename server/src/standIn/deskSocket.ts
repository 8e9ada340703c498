import type { WebSocket } from 'ws';
import type { PersonId } from '@locutor/core/directory';
import type { DeskSays } from '@locutor/core/exchange';
import type { Clock } from '../clock/clock';
import type { LiveLine } from '../live/liveLine.service';
import { readDesk } from './said';
import type { StandInLine } from './standInLine';
import { Socket } from '../sockets/socket';

/** How long a desk phone that is gone may take to come back before its call is over. */
const graceMs = 10_000;

/** Somebody's desk phone on the live line. One person may have several: they show and do the same. */
export class DeskSocket {
  private readonly socket: Socket;
  private readonly stops: readonly (() => void)[];
  private shown = '';

  constructor(
    socket: WebSocket,
    private readonly line: LiveLine,
    private readonly standIn: StandInLine,
    private readonly personId: PersonId,
    private readonly clock: Clock,
  ) {
    this.socket = new Socket(socket, clock, {
      onText: (text) => this.hear(readDesk(text)),
      onVoice: (frame) => this.line.voiceOfStaff(personId, frame),
      onClose: () => this.leave(),
    });
    this.stops = [
      line.watch(() => this.show()),
      line.connectDesk(personId, {
        noSuchNumber: (digits) => this.socket.send({ type: 'noSuchNumber', digits }),
      }),
      standIn.connectDesk(personId, {
        play: (items) => this.socket.send({ type: 'play', items }),
        stop: () => this.socket.send({ type: 'stop' }),
        sendVoice: (frame) => this.socket.sendVoice(frame),
        tone: (tone, country) => this.socket.send({ type: 'tone', tone, country }),
      }),
    ];
    this.show();
  }

  /** Whoever was deleted has no phone any more. */
  private dismiss(): void {
    this.line.happen({ type: 'staffHangsUp', personId: this.personId });
    this.socket.close('They are not in the directory any more.');
  }

  private show(): void {
    if (this.line.hasWorld && !this.line.isPerson(this.personId)) return this.dismiss();
    const view = this.line.deskView(this.personId);
    const text = JSON.stringify(view);
    if (!view || text === this.shown) return;
    this.shown = text;
    this.socket.send({ type: 'view', view, nowMs: this.line.now() });
  }

  private hear(said: DeskSays | undefined): void {
    const { line, personId } = this;
    if (!line.isPerson(personId)) return this.dismiss();
    switch (said?.type) {
      case 'answer':
        return line.happen({ type: 'staffAnswers', personId });
      case 'decline':
        return line.happen({ type: 'staffDeclines', personId });
      case 'key':
        return line.happen({ type: 'staffPresses', personId, key: said.key });
      case 'hangUp':
        return line.happen({ type: 'staffHangsUp', personId });
      case 'hold':
        return line.happen({ type: 'staffHolds', personId, on: said.on });
      case 'transfer':
        return line.happen({ type: 'staffTransfers', personId, to: said.to });
      case 'consult':
        return line.consult(personId, said.personId, this.standIn.endAtDesk(personId));
      case 'sendOn':
        return line.happen({ type: 'staffSendsOn', personId });
      case 'pick':
        return line.happen({ type: 'staffPicks', personId, callId: said.callId });
      case 'dial':
        return line.dial(personId, said.digits, this.standIn.endAtDesk(personId));
      case 'presence':
        return line.setPresence(personId, said.presence);
      case undefined:
        return;
    }
  }

  /** A phone that vanishes while it rings rings on; a call on it is over unless it comes back in time. */
  private leave(): void {
    this.stops.forEach((stop) => stop());
    this.clock.after(graceMs, () => {
      if (!this.line.hasDesk(this.personId)) this.line.happen({ type: 'staffHangsUp', personId: this.personId });
    });
  }
}
