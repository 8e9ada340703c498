import type { WebSocket } from 'ws';
import type { Clock } from '../clock/clock';
import { Socket } from '../sockets/socket';
import type { Changes } from './changes.service';

/** Tells a window what changed, whoever changed it: what it shows of it is to be read again. It is asked nothing. */
export class ChangesSocket {
  constructor(socket: WebSocket, changes: Changes, clock: Clock) {
    const told = new Socket(socket, clock, {
      onText: () => undefined,
      onVoice: () => undefined,
      onClose: () => stop(),
    });
    const stop = changes.watch((changed) => told.send({ type: 'changed', changes: changed }));
  }
}
