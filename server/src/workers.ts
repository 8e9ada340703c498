import { once } from 'node:events';
import { Piscina } from 'piscina';

interface Options {
  readonly maxThreads?: number;
  readonly idleMs?: number;
  /** How long a piece of work may take, in ms; then it is given up and its thread ended. */
  readonly longestMs?: number;
  /** How much a thread may keep on its heap; one that needs more ends, and another begins. */
  readonly mostHeapMb?: number;
}

/** Work that was given up because it took too long. */
export class WorkTooLong extends Error {
  constructor(readonly longestMs: number) {
    super(`The work took longer than ${Math.round(longestMs / 1000)} s and was given up.`);
  }
}

/** Work that was given up because the server stops. */
export class WorkStopped extends Error {
  constructor() {
    super('The work was given up: the server stops.');
  }
}

/** What workers have to do. */
export interface WorkersState {
  /** How many pieces of work wait for a thread. */
  readonly waiting: number;
  /** For how long the oldest piece has been worked on, in ms; 0 when there is none. */
  readonly busyMs: number;
}

/** The state of several sets of workers together. */
export function together(states: readonly WorkersState[]): WorkersState {
  return {
    waiting: states.reduce((sum, { waiting }) => sum + waiting, 0),
    busyMs: Math.max(0, ...states.map(({ busyMs }) => busyMs)),
  };
}

/**
 * Worker threads that all run one file. They start with the first task and end when idle.
 *
 * A thread is never ended while it still loads its file: Node 20 aborts the whole process when a thread is ended in the
 * middle of requiring an ES module.
 */
export class Workers<Task, Done> {
  private readonly pool: Piscina<Task, Done>;
  private readonly longestMs: number;
  private isEnding = false;
  private readonly ready = new Set<unknown>();
  /** When each piece of work was asked for, the oldest first. */
  private readonly underWay = new Set<{ readonly sinceMs: number }>();

  /** @param filename the worker's file, compiled */
  constructor(filename: string, { maxThreads = 1, idleMs = 60_000, longestMs = Infinity, mostHeapMb }: Options = {}) {
    this.longestMs = longestMs;
    // Threads that a pool starts with are taken for ready before they are: hence none.
    this.pool = new Piscina<Task, Done>({
      ...{ filename, minThreads: 0, maxThreads, idleTimeout: idleMs },
      ...(mostHeapMb && { resourceLimits: { maxOldGenerationSizeMb: mostHeapMb } }),
    });
    this.pool.on('workerCreate', (thread) => this.ready.add(thread));
    this.pool.on('workerDestroy', (thread) => this.ready.delete(thread));
  }

  /** @throws AbortError when the signal gives the task up. */
  async run(
    task: Task,
    { signal = null, transfer = [] }: { signal?: AbortSignal | null; transfer?: Transfer } = {},
  ): Promise<Done> {
    const work = { sinceMs: performance.now() };
    this.underWay.add(work);
    const late = Number.isFinite(this.longestMs) ? AbortSignal.timeout(this.longestMs) : null;
    const signals = [signal, late].flatMap((each) => each ?? []);
    const given = signals.length > 0 ? AbortSignal.any(signals) : null;
    try {
      return await this.pool.run(task, { signal: given, transferList: [...transfer] });
    } catch (error) {
      if (this.isEnding) throw new WorkStopped();
      if (late?.aborted && !signal?.aborted) throw new WorkTooLong(this.longestMs);
      throw error;
    } finally {
      this.underWay.delete(work);
    }
  }

  state(): WorkersState {
    const [oldest] = this.underWay;
    return { waiting: this.pool.queueSize, busyMs: oldest ? Math.round(performance.now() - oldest.sinceMs) : 0 };
  }

  /** Ends all threads, and with them what they are doing. */
  async end(): Promise<void> {
    this.isEnding = true;
    while (this.ready.size < this.pool.threads.length) {
      await Promise.race(['workerCreate', 'workerDestroy'].map((event) => once(this.pool, event)));
    }
    await this.pool.destroy();
  }
}

type Transfer = NonNullable<NonNullable<Parameters<Piscina['run']>[1]>['transferList']>;
