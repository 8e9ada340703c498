import type { LoggerService } from '@nestjs/common';
import { log } from './log';

/** What the framework says goes into the same log; what it says of itself as it starts is left out. */
export const nestLog: LoggerService = {
  log: (message: unknown) => log.debug(String(message)),
  debug: (message: unknown) => log.debug(String(message)),
  verbose: (message: unknown) => log.trace(String(message)),
  warn: (message: unknown) => log.warn(String(message)),
  error: (message: unknown, ...more: unknown[]) => log.error({ at: more.map(String) }, String(message)),
  fatal: (message: unknown, ...more: unknown[]) => log.fatal({ at: more.map(String) }, String(message)),
};
