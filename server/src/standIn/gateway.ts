import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { personId, type PersonId } from '@locutor/core/directory';
import { WebSocketServer, type WebSocket } from 'ws';
import { mayPass } from '../access/door';
import { Changes } from '../changes/changes.service';
import { ChangesSocket } from '../changes/changesSocket';
import { inTurn } from '../clock/breath';
import { Clock } from '../clock/clock';
import { enclosed } from '../log/enclosed';
import { BoardSocket } from './boardSocket';
import { DeskSocket } from './deskSocket';
import { HandsetSocket } from './handsetSocket';
import { LiveLine } from '../live/liveLine.service';
import { StandInLine } from './standInLine';

/** The largest thing that is said over a socket. */
const mostBytes = 4096;
const mostSockets = 4000;

/**
 * The sockets (WebSockets, RFC 6455): the live line's at `/api/live/handset`, `/api/live/desk/<person>` and
 * `/api/live/board`, and what changed anywhere at `/api/live/changes`.
 */
@Injectable()
export class StandInGateway implements OnModuleDestroy {
  private readonly server = new WebSocketServer({ noServer: true, maxPayload: mostBytes, clientTracking: true });

  constructor(
    private readonly live: LiveLine,
    private readonly line: StandInLine,
    private readonly clock: Clock,
    private readonly changes: Changes,
  ) {}

  listenOn(server: Server): void {
    server.on('upgrade', (request, socket, head) => {
      socket.on('error', () => socket.destroy());
      const upgrade = enclosed(
        'a request for a socket',
        () => this.upgrade(request, socket, head),
        () => socket.destroy(),
      );
      inTurn(upgrade);
    });
  }

  onModuleDestroy(): void {
    for (const socket of this.server.clients) socket.terminate();
    this.server.close();
  }

  private upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    const refuse = (status: string): void => {
      socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\n\r\n`);
    };
    if (!mayPass(request)) return refuse('403 Forbidden');
    if (this.server.clients.size >= mostSockets) return refuse('503 Service Unavailable');
    const open = this.openerOf(request.url ?? '/');
    if (!open) return refuse('404 Not Found');
    this.server.handleUpgrade(request, socket, head, open);
  }

  /** What opens a socket at the target of a request (RFC 9112, section 3.2.1); undefined where there is none. */
  private openerOf(target: string): ((socket: WebSocket) => void) | undefined {
    const [path = ''] = target.split('?');
    if (path === '/api/live/handset')
      return (socket) => void new HandsetSocket(socket, this.line, this.live, this.clock);
    if (path === '/api/live/changes') return (socket) => void new ChangesSocket(socket, this.changes, this.clock);
    if (path === '/api/live/board') return (socket) => void new BoardSocket(socket, this.live, this.line, this.clock);
    const person = decoded(/^\/api\/live\/desk\/([^/]+)$/.exec(path)?.[1]);
    if (!person || !personId.pattern.test(person) || !this.live.isPerson(person as PersonId)) return undefined;
    return (socket) => void new DeskSocket(socket, this.live, this.line, person as PersonId, this.clock);
  }
}

/** A part of a path without its percent signs; undefined where they stand for nothing (RFC 3986, section 2.1). */
function decoded(part: string | undefined): string | undefined {
  try {
    return part && decodeURIComponent(part);
  } catch {
    return undefined;
  }
}
