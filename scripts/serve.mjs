import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root, webDir } from './setup.mjs';

/**
 * Starts the server on a data folder and stays with it; stopping this stops the server cleanly. What is `usual` of its
 * environment may be set otherwise.
 */
export function serve(dataDir, port, usual = {}) {
  const env = {
    ...usual,
    ...process.env,
    LOCUTOR_DATA: dataDir,
    LOCUTOR_WEB: webDir,
    PORT: process.env.PORT ?? port,
  };
  const server = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], { env, stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
