import 'reflect-metadata';
import { startServer } from './app';
import { configFrom } from './config';
import { catchEscapes, unawaited } from './log/enclosed';
import { log } from './log/log';

catchEscapes();

startServer(configFrom(process.env)).then(
  ({ stop, url }) => {
    stopWhenAsked(stop);
    log.info({ pid: process.pid }, 'Ready');
    console.log(`Locutor is ready: ${url}`);
  },
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);

/**
 * Finishes the requests under way, closes the database and ends. Not left to Nest's own hooks, which would also take
 * SIGSEGV from the WebAssembly engine, that needs it.
 */
function stopWhenAsked(stop: () => Promise<void>): void {
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => {
      unawaited(
        'stopping',
        stop().then(() => {
          log.info('Stopped');
          process.exit(0);
        }),
        () => process.exit(1),
      );
    });
  }
}
