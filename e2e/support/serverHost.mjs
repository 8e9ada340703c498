import 'reflect-metadata';
import process from 'node:process';
import { join } from 'node:path';
import app from '../../server/dist/app.js';
import workers from '../../server/dist/workers.js';

/** Runs one server after the other in one process, so that the program is loaded once and not for every test. */
// Threads take as long to begin as a short test does.
workers.keepThreads();

// What recordings say is told by the specs of the server; here it would only take time from the others.
process.env.LOCUTOR_LISTENING ??= 'off';

const webDir = join(import.meta.dirname, '..', '..', 'web', 'dist');
let running = null;

const tasks = {
  start: async ({ dataDir, port }) => {
    running = await app.startServer({ dataDir, webDir, port });
    return running.url;
  },
  stop: async () => {
    await running?.stop();
    running = null;
    return '';
  },
};

process.on('message', (task) => {
  tasks[task.type](task).then(
    (url) => process.send({ url }),
    (error) => process.send({ problem: error.stack }),
  );
});
