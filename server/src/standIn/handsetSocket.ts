import type { WebSocket } from 'ws';
import type { CallId, HandsetSays } from '@locutor/core/exchange';
import type { Clock } from '../clock/clock';
import { unawaited } from '../log/enclosed';
import type { LiveLine } from '../live/liveLine.service';
import { Socket } from '../sockets/socket';
import type { HandsetCall, HandsetPage } from './handsetCall';
import { readHandset } from './said';
import type { StandInLine } from './standInLine';

/** The page of a caller's handset. */
export class HandsetSocket {
  private readonly socket: Socket;
  private call: HandsetCall | undefined;
  private readonly page: HandsetPage = {
    send: (message) => this.socket.send(message),
    sendVoice: (frame) => this.socket.sendVoice(frame),
  };

  constructor(
    socket: WebSocket,
    private readonly line: StandInLine,
    private readonly live: LiveLine,
    clock: Clock,
  ) {
    this.socket = new Socket(socket, clock, {
      onText: (text) => this.hear(readHandset(text)),
      onVoice: (frame) => this.call?.caller?.voice(frame),
      onClose: () => {
        if (this.call?.isIn(this.page)) this.call.lose();
      },
    });
  }

  private hear(said: HandsetSays | undefined): void {
    switch (said?.type) {
      case 'dial':
        return this.dial(said.number, said.callerNumber);
      case 'resume':
        return this.resume(said.callId, said.token);
      case 'key':
        return this.call?.caller?.pressed(said.key);
      case 'speak':
        if (this.call?.id) this.live.happenTo(this.call.id, { type: 'callerSpoke', words: said.words });
        return;
      case 'hangUp':
        return this.call?.caller?.hungUp();
      case undefined:
        return;
    }
  }

  /** A handset that is in a call stays in it, whatever else it asks for. */
  private isInCall(): boolean {
    return this.call !== undefined && this.call.status !== 'over';
  }

  private dial(calledNumber: string, callerNumber: string): void {
    if (this.isInCall()) return;
    this.call = this.line.dial({ calledNumber, callerNumber }, this.page, (id, display) => this.live.show(id, display));
    if (!this.call) this.socket.send({ type: 'refused', says: 'The line is being stopped. Call again in a moment.' });
  }

  private resume(id: CallId, token: string): void {
    if (this.isInCall()) return;
    const call = this.line.callOf(id, token);
    if (!call) return unawaited('what became of a call', this.tellWhatBecameOf(id));
    this.call = call;
    call.takeUp(this.page);
  }

  private async tellWhatBecameOf(id: CallId): Promise<void> {
    this.socket.send({ type: 'refused', says: await this.live.whatBecameOf(id) });
  }
}
