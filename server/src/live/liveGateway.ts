import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { personId, type PersonId } from '@locutor/core/directory';
import { WebSocketServer, type WebSocket } from 'ws';
import { mayPass } from '../access/accessGuard';
import { Changes } from '../changes/changes.service';
import { ChangesSocket } from '../changes/changesSocket';
import { Clock } from '../clock/clock';
import { BoardSocket } from './boardSocket';
import { DeskSocket } from './deskSocket';
import { HandsetSocket } from './handsetSocket';
import { LiveLine } from './liveLine.service';
import { LiveScripts } from './liveScripts.service';

/** The largest thing that is said over a socket. */
const mostBytes = 4096;
const mostSockets = 4000;

/**
 * The sockets (WebSockets, RFC 6455): the live line's at `/api/live/handset`, `/api/live/desk/<person>` and
 * `/api/live/board`, and what changed anywhere at `/api/live/changes`.
 */
@Injectable()
export class LiveGateway implements OnModuleDestroy {
  private readonly server = new WebSocketServer({ noServer: true, maxPayload: mostBytes, clientTracking: true });

  constructor(
    private readonly line: LiveLine,
    private readonly scripts: LiveScripts,
    private readonly clock: Clock,
    private readonly changes: Changes,
  ) {}

  listenOn(server: Server): void {
    server.on('upgrade', (request, socket, head) => this.upgrade(request, socket, head));
  }

  onModuleDestroy(): void {
    for (const socket of this.server.clients) socket.terminate();
    this.server.close();
  }

  private upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    const refuse = (status: string): void => {
      socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\n\r\n`);
    };
    socket.on('error', () => socket.destroy());
    if (!mayPass(request, true)) return refuse('403 Forbidden');
    if (this.server.clients.size >= mostSockets) return refuse('503 Service Unavailable');
    const open = this.openerOf(new URL(request.url ?? '/', 'http://line').pathname);
    if (!open) return refuse('404 Not Found');
    this.server.handleUpgrade(request, socket, head, open);
  }

  private openerOf(path: string): ((socket: WebSocket) => void) | undefined {
    if (path === '/api/live/handset')
      return (socket) => void new HandsetSocket(socket, this.line, this.scripts, this.clock);
    if (path === '/api/live/changes') return (socket) => void new ChangesSocket(socket, this.changes, this.clock);
    if (path === '/api/live/board') return (socket) => void new BoardSocket(socket, this.line, this.clock);
    const person = /^\/api\/live\/desk\/([^/]+)$/.exec(path)?.[1];
    const id = person ? decodeURIComponent(person) : '';
    if (!personId.pattern.test(id) || !this.line.isPerson(id as PersonId)) return undefined;
    return (socket) => void new DeskSocket(socket, this.line, id as PersonId, this.clock);
  }
}
