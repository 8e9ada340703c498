import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { demoData, root, scratch } from './places';

/** A real server on a data folder of its own. */
export class TestServer {
  url = '';
  private readonly dataDir = join(scratch, randomUUID());
  private process: ChildProcess | null = null;
  private port = '0';

  constructor(data: 'empty' | 'demo') {
    mkdirSync(this.dataDir, { recursive: true });
    if (data === 'demo') cpSync(demoData, this.dataDir, { recursive: true });
  }

  /** Starts it; a second start keeps the address. */
  async start(): Promise<void> {
    const env = { ...process.env, LOCUTOR_DATA: this.dataDir, LOCUTOR_WEB: join(root, 'web', 'dist'), PORT: this.port };
    const server = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], { env });
    this.process = server;
    server.stderr.pipe(process.stderr);
    this.url = await new Promise<string>((resolve, reject) => {
      server.on('exit', () => reject(new Error('The server ended before it was ready')));
      server.stdout.on('data', (chunk: Buffer) => {
        const ready = /ready: (\S+)/.exec(String(chunk));
        if (ready?.[1]) resolve(ready[1]);
      });
    });
    this.port = new URL(this.url).port;
  }

  /** Stops it: SIGTERM lets it finish, SIGKILL does not. Tells the exit code. */
  stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<number | null> {
    const { process: server } = this;
    this.process = null;
    if (!server) return Promise.resolve(null);
    return new Promise((resolve) => {
      server.on('exit', (code) => resolve(code));
      server.kill(signal);
    });
  }
}
