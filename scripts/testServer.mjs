import { spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeDemoData, root, webDir } from './setup.mjs';

/** Starts a server on a fresh copy of the demo business; tells its address, how long it took, and how to stop it. */
export async function demoServer() {
  const folder = mkdtempSync(join(tmpdir(), 'locutor-'));
  const dataDir = join(folder, 'data');
  cpSync(makeDemoData(), dataDir, { recursive: true });
  const began = performance.now();
  const env = { LOCUTOR_LOG: 'warn', ...process.env, LOCUTOR_DATA: dataDir, LOCUTOR_WEB: webDir, PORT: '0' };
  const server = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], { env });
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
  return { url, startMs, pid: server.pid, stop };
}
