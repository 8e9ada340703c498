import type { Clock } from '../clock/clock';
import { log } from '../log/log';
import { storageTroubleOf } from '../storage/storageTrouble';

const keepAgainMs = 5000;

/** Work beside the calls that must be done before the server ends. */
export class Keeping {
  private readonly under = new Set<Promise<unknown>>();
  private readonly pauses = new Set<() => void>();
  private isStopping = false;

  constructor(private readonly clock: Clock) {}

  keep(work: () => Promise<unknown>): void {
    const done = work()
      .catch((err: unknown) => log.error({ err }, 'Something of a call could not be kept'))
      .finally(() => this.under.delete(done));
    this.under.add(done);
  }

  /** The same for what must not be lost: while the disk or the database does not let it be kept, it is tried again. */
  keepSurely(work: () => Promise<unknown>): void {
    this.keep(async () => {
      for (;;) {
        try {
          return await work();
        } catch (err) {
          if (!storageTroubleOf(err) || this.isStopping) throw err;
          log.error({ err }, 'A message or recording cannot be kept now; it is tried again');
          await this.pause(keepAgainMs);
        }
      }
    });
  }

  /** When all that is under way now is done. */
  async done(): Promise<void> {
    await Promise.all(this.under);
  }

  /** Waits for nothing any more but what is under way. */
  async stop(): Promise<void> {
    this.isStopping = true;
    for (const end of this.pauses) end();
    await this.done();
  }

  /** Is over at once when the server stops. */
  private pause(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const end = (): void => {
        stop();
        this.pauses.delete(end);
        resolve();
      };
      const stop = this.clock.after(ms, end);
      this.pauses.add(end);
    });
  }
}
