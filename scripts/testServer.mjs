import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeDemoData, root, webDir } from './setup.mjs';

/**
 * Starts a server on a fresh copy of the demo business; tells its address, how long it took, and how to stop it. `prepare` may
 * change its data before; `monitor` is a module loaded into it, which can be sent messages to.
 */
export async function demoServer({ prepare, monitor } = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'locutor-'));
  const dataDir = join(folder, 'data');
  cpSync(makeDemoData(), dataDir, { recursive: true });
  prepare?.(dataDir);
  const began = performance.now();
  const env = { LOCUTOR_LOG: 'warn', ...process.env, LOCUTOR_DATA: dataDir, LOCUTOR_WEB: webDir, PORT: '0' };
  const loaded = monitor ? ['--import', monitor] : [];
  const stdio = ['ignore', 'pipe', 'pipe', ...(monitor ? ['ipc'] : [])];
  const server = spawn(process.execPath, [...loaded, join(root, 'server', 'dist', 'main.js')], { env, stdio });
  server.stderr.pipe(process.stderr);
  const url = await new Promise((resolve) => {
    server.stdout.on('data', (chunk) => {
      const ready = /ready: (\S+)/.exec(String(chunk));
      if (ready) resolve(ready[1]);
    });
  });
  await (await fetch(`${url}/api/health`)).json();
  const startMs = performance.now() - began;
  const stop = () =>
    new Promise((resolve) => {
      server.on('exit', () => {
        rmSync(folder, { recursive: true, force: true });
        resolve();
      });
      server.kill('SIGTERM');
    });
  return { url, startMs, pid: server.pid, server, stop };
}
