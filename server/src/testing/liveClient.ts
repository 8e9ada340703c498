import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import WebSocket from 'ws';
import type { HandsetHears, DeskHears } from '@locutor/core/exchange';
import type { TestServer } from './testServer';

/** A phone for specs: what it says goes to the live line, and what it heard can be waited for. */
export class LiveClient<Hears extends { type: string } = HandsetHears | DeskHears> {
  readonly heard: Hears[] = [];
  readonly voice: Buffer[] = [];
  private readonly socket: WebSocket;

  constructor(server: TestServer, path: string, headers: Record<string, string> = {}) {
    const { port } = server.app.getHttpServer().address() as AddressInfo;
    this.socket = new WebSocket(`ws://127.0.0.1:${port}/api/live/${path}`, { headers });
    this.socket.on('message', (data: Buffer, isBinary) => {
      if (isBinary) this.voice.push(data);
      else this.heard.push(JSON.parse(String(data)) as Hears);
    });
    this.socket.on('error', () => undefined);
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

  /** Waits until something was heard that passes. @throws Error when it was not within a few seconds. */
  async hears(passes: (message: Hears) => boolean, withinMs = 6000): Promise<Hears> {
    const until = Date.now() + withinMs;
    for (;;) {
      const found = this.heard.find(passes);
      if (found) return found;
      if (Date.now() > until) throw new Error(`Not heard; heard: ${JSON.stringify(this.heard.slice(-6))}`);
      await new Promise((resolve) => setTimeout(resolve, 15));
    }
  }

  close(): Promise<unknown> {
    const closed = once(this.socket, 'close');
    this.socket.terminate();
    return closed;
  }
}
