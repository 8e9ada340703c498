import { log } from './log';

/**
 * A listener or the work of a timer that ends by itself whatever goes wrong in it: that is logged, with what it was, and
 * `onFailure` mends what it left half done. Nothing else hears of it; without this it would end the server.
 */
export function enclosed<Given extends readonly unknown[]>(
  what: string,
  work: (...given: Given) => unknown,
  onFailure?: () => void,
): (...given: Given) => void {
  return (...given) => {
    try {
      const done = work(...given);
      if (done instanceof Promise) unawaited(what, done, onFailure);
    } catch (err) {
      fail(what, err, onFailure);
    }
  };
}

/** Work that nobody waits for; what goes wrong in it is logged. */
export function unawaited(what: string, done: Promise<unknown>, onFailure?: () => void): void {
  done.catch((err: unknown) => fail(what, err, onFailure));
}

function fail(what: string, err: unknown, onFailure?: () => void): void {
  log.error({ what, err }, 'Something went wrong');
  try {
    onFailure?.();
  } catch (again) {
    log.error({ what, err: again }, 'What went wrong could not be mended');
  }
}

/** Whatever escapes all that: it is logged, and the server goes on with the calls on it. */
export function catchEscapes(): void {
  process.on('uncaughtException', (err) => log.fatal({ err }, 'Something escaped'));
  process.on('unhandledRejection', (err) => log.fatal({ err }, 'Something that nobody waits for went wrong'));
}
