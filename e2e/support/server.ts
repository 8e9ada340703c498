import { fork, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { demoData, root, scratch } from './places';

/** Loads the server's program once, for one test after the other. */
export class ServerHost {
  private readonly process = fork(join(__dirname, 'serverHost.mjs'));

  async ask(task: { readonly type: 'start'; readonly dataDir: string } | { readonly type: 'stop' }): Promise<string> {
    this.process.send(task);
    const [{ url, problem }] = (await once(this.process, 'message')) as [{ url?: string; problem?: string }];
    if (url === undefined) throw new Error(problem);
    return url;
  }

  end(): void {
    this.process.kill('SIGKILL');
  }
}

/** A real server on a data folder of its own: in a host, or in a process of its own that can be stopped and killed. */
export class TestServer {
  url = '';
  private readonly dataDir = join(scratch, randomUUID());
  private process: ChildProcess | null = null;
  private port = '0';

  constructor(
    data: 'empty' | 'demo',
    private readonly host: ServerHost | null,
  ) {
    mkdirSync(this.dataDir, { recursive: true });
    if (data === 'demo') cpSync(demoData, this.dataDir, { recursive: true });
  }

  /** Starts it; a second start keeps the address. */
  async start(): Promise<void> {
    if (this.host) {
      this.url = await this.host.ask({ type: 'start', dataDir: this.dataDir });
      return;
    }
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

  /** Ends it once the test is over. */
  async end(): Promise<void> {
    if (this.host) await this.host.ask({ type: 'stop' });
    else await this.stop('SIGKILL');
  }

  /** Stops it: SIGTERM lets it finish, SIGKILL does not. Tells the exit code. */
  stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<number | null> {
    if (this.host) throw new Error('A test that stops its server needs one in a process of its own');
    const { process: server } = this;
    this.process = null;
    if (!server) return Promise.resolve(null);
    return new Promise((resolve) => {
      server.on('exit', (code) => resolve(code));
      server.kill(signal);
    });
  }
}
