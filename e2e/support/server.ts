import { fork, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { cpSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { demoData, root, scratch } from './places';

type Task = { readonly type: 'start'; readonly dataDir: string; readonly port: number } | { readonly type: 'stop' };

/** Loads the server's program once, for one test after the other, all of them at one address. */
export class ServerHost {
  private readonly process = fork(join(__dirname, 'serverHost.mjs'));

  private constructor(readonly port: number) {}

  static async start(): Promise<ServerHost> {
    return new ServerHost(await freePort());
  }

  async ask(task: Task): Promise<string> {
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

  constructor(
    data: 'empty' | 'demo',
    private readonly host: ServerHost,
    private readonly isOwnProcess: boolean,
  ) {
    mkdirSync(this.dataDir, { recursive: true });
    if (data === 'demo') cpSync(demoData, this.dataDir, { recursive: true });
  }

  /** Starts it, at the address of its worker. */
  async start(): Promise<void> {
    const { dataDir, host } = this;
    if (!this.isOwnProcess) {
      this.url = await host.ask({ type: 'start', dataDir, port: host.port });
      return;
    }
    const webDir = join(root, 'web', 'dist');
    const env = {
      LOCUTOR_LOG: 'warn',
      ...process.env,
      LOCUTOR_DATA: dataDir,
      LOCUTOR_WEB: webDir,
      PORT: String(host.port),
    };
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
  }

  /** Ends it once the test is over. */
  async end(): Promise<void> {
    if (this.isOwnProcess) await this.stop('SIGKILL');
    else await this.host.ask({ type: 'stop' });
  }

  /** Stops it: SIGTERM lets it finish, SIGKILL does not. Tells the exit code. */
  stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<number | null> {
    if (!this.isOwnProcess) throw new Error('A test that stops its server needs one in a process of its own');
    const { process: server } = this;
    this.process = null;
    if (!server) return Promise.resolve(null);
    return new Promise((resolve) => {
      server.on('exit', (code) => resolve(code));
      server.kill(signal);
    });
  }
}

/** Below those that connections take by themselves: one of them could take ours while no server listens. */
const ports = { from: 20_000, to: 32_000 } as const;

async function freePort(): Promise<number> {
  for (;;) {
    const port = ports.from + Math.floor(Math.random() * (ports.to - ports.from));
    const socket = createServer();
    const isFree = await new Promise<boolean>((resolve) => {
      socket.once('error', () => resolve(false));
      socket.listen(port, '127.0.0.1', () => socket.close(() => resolve(true)));
    });
    if (isFree) return port;
  }
}
