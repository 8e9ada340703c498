import type { WebSocket } from 'ws';
import { anonymousCaller, readPhoneNumber } from '@locutor/core/directory';
import type { CallId, HandsetSays } from '@locutor/core/exchange';
import type { Clock } from '../clock/clock';
import { unawaited } from '../log/enclosed';
import type { LiveCallRun } from './liveCall';
import type { LiveLine } from './liveLine.service';
import type { LiveScripts } from './liveScripts.service';
import { readHandset } from './said';
import { Socket } from './socket';

/** How long a handset that is gone may take to come back, as after its page was loaded again. */
const graceMs = 8000;

/** A caller's handset on the live line. */
export class HandsetSocket {
  private readonly socket: Socket;
  private run: LiveCallRun | null = null;
  private isDialling = false;
  private readonly ear = {
    send: (message: object): void => this.socket.send(message),
    sendVoice: (frame: Uint8Array): void => this.socket.sendVoice(frame),
  };

  constructor(
    socket: WebSocket,
    private readonly line: LiveLine,
    private readonly scripts: LiveScripts,
    clock: Clock,
  ) {
    this.socket = new Socket(socket, clock, {
      onText: (text) => this.hear(readHandset(text)),
      onVoice: (frame) => {
        if (this.run) this.line.voiceOfCaller(this.run.id, frame);
      },
      onClose: () => this.leave(),
    });
  }

  private hear(said: HandsetSays | undefined): void {
    switch (said?.type) {
      case 'dial':
        return unawaited('a dialled call', this.dial(said.number, said.callerNumber));
      case 'resume':
        return unawaited('a call that is gone on with', this.resume(said.callId, said.token));
      case 'key':
        return this.happen({ type: 'keyPressed', key: said.key });
      case 'speak':
        return this.happen({ type: 'callerSpoke', words: said.words });
      case 'hangUp':
        return this.happen({ type: 'callerHungUp' });
      case undefined:
        return;
    }
  }

  /** A handset that is in a call stays in it, whatever else it asks for. */
  private async resume(callId: CallId, token: string): Promise<void> {
    if (this.isDialling || this.isInCall()) return;
    const run = this.line.resume(callId, token, this.ear);
    if (run) this.run = run;
    else this.socket.send({ type: 'refused', says: await this.line.whatBecameOf(callId) });
  }

  private isInCall(): boolean {
    return this.run !== null && this.line.isOn(this.run.id);
  }

  private async dial(number: string, callerNumber: string): Promise<void> {
    if (this.isDialling || this.isInCall()) return;
    this.isDialling = true;
    try {
      const country = await this.scripts.country();
      const read = readPhoneNumber(number, country);
      const reached = read.ok ? await this.scripts.reached(read.value) : undefined;
      if (!reached) {
        return this.socket.send({ type: 'refused', says: 'That is not a number of this business.' });
      }
      const caller = readPhoneNumber(callerNumber, country);
      this.run = await this.line.arrive(reached, caller.ok ? caller.value : anonymousCaller, this.ear);
    } catch (error) {
      const says = error instanceof Error ? error.message : 'The call did not get through.';
      this.socket.send({ type: 'refused', says });
    } finally {
      this.isDialling = false;
    }
  }

  private happen(event: Parameters<LiveLine['happenTo']>[1]): void {
    if (this.run) this.line.happenTo(this.run.id, event);
  }

  /** Unless another socket takes the call up in time, the caller has hung up. */
  private leave(): void {
    const { run } = this;
    if (!run || run.ear !== this.ear) return;
    run.loseEar(graceMs);
  }
}
