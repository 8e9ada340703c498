import pino from 'pino';

/**
 * The log for operators: a line of JSON an event, on the standard error stream. It names things by their ids and says nothing
 * of persons: no numbers, names, words or addresses. `LOCUTOR_LOG` sets the level: `debug`, `info` (unless said otherwise),
 * `warn`, `error` or `silent`.
 */
export const log = pino(
  {
    level: levelFrom(process.env),
    base: null,
    timestamp: pino.stdTimeFunctions.isoTime,
    formatters: { level: (level) => ({ level }) },
    serializers: { err: describeError },
  },
  pino.destination({ fd: 2, sync: true }),
);

function levelFrom({ LOCUTOR_LOG, NODE_ENV }: NodeJS.ProcessEnv): string {
  const known = [...Object.keys(pino.levels.values), 'silent'];
  if (LOCUTOR_LOG && known.includes(LOCUTOR_LOG)) return LOCUTOR_LOG;
  return NODE_ENV === 'test' ? 'silent' : 'info';
}

/** What went wrong and where. Errors of the database carry the values that were to be written: those are left out. */
export function describeError(error: unknown): object {
  if (!(error instanceof Error)) return { message: String(error) };
  const { name, message, stack } = error;
  const { code } = error as { code?: unknown };
  const at = stack
    ?.split('\n')
    .slice(1, 8)
    .map((line) => line.trim());
  return { name, message, ...(typeof code === 'string' ? { code } : {}), at };
}
