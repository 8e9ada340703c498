import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import WebSocket from 'ws';
import type { HandsetHears, DeskHears } from '@locutor/core/exchange';
import type { TestServer } from './testServer';

/** A phone for specs: what it says goes to the live line, and what it heard can be waited for. */
export class LiveClient<Hears extends { type: string } = HandsetHears | DeskHears> {
  readonly heard: Hears[] = [];
  readonly voice: Buffer[] = [];
  /** Over once the line has cut it off. */
  readonly closed: Promise<unknown>;
  private readonly socket: WebSocket;

  constructor(
    private readonly server: TestServer,
    path: string,
    headers: Record<string, string> = {},
  ) {
    const { port } = server.app.getHttpServer().address() as AddressInfo;
    this.socket = new WebSocket(`ws://127.0.0.1:${port}/api/live/${path}`, { headers });
    this.socket.on('message', (data: Buffer, isBinary) => {
      if (isBinary) this.voice.push(data);
      else this.heard.push(JSON.parse(String(data)) as Hears);
    });
    this.socket.on('error', () => undefined);
    this.closed = new Promise((resolve) => this.socket.on('close', resolve));
  }

  async open(): Promise<this> {
    await once(this.socket, 'open');
    return this;
  }

  /** The status with which the door was shut. */
  async refusal(): Promise<number | undefined> {
    const [, response] = (await once(this.socket, 'unexpected-response')) as [unknown, { statusCode?: number }];
    return response.statusCode;
  }

  say(message: object | string | Buffer): void {
    const isText = typeof message === 'string' || Buffer.isBuffer(message);
    this.socket.send(isText ? message : JSON.stringify(message));
  }

  /** Lets time pass until something was heard that passes. @throws Error when it was not within so much time. */
  async hears(passes: (message: Hears) => boolean, withinMs = 20_000): Promise<Hears> {
    return this.server.clock
      .until(() => this.heard.find(passes), withinMs)
      .catch(() => {
        throw new Error(`Not heard; heard: ${JSON.stringify(this.heard.slice(-6))}`);
      });
  }

  close(): Promise<unknown> {
    this.socket.terminate();
    return this.closed;
  }
}
