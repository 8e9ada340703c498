import { once } from 'node:events';
import { Piscina } from 'piscina';

interface Options {
  readonly maxThreads?: number;
  readonly idleMs?: number;
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
  private readonly ready = new Set<unknown>();
  /** When each piece of work was asked for, the oldest first. */
  private readonly underWay = new Set<{ readonly sinceMs: number }>();

  /** @param filename the worker's file, compiled */
  constructor(filename: string, { maxThreads = 1, idleMs = 60_000 }: Options = {}) {
    // Threads that a pool starts with are taken for ready before they are: hence none.
    this.pool = new Piscina<Task, Done>({ filename, minThreads: 0, maxThreads, idleTimeout: idleMs });
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
    try {
      return await this.pool.run(task, { signal, transferList: [...transfer] });
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
    while (this.ready.size < this.pool.threads.length) {
      await Promise.race(['workerCreate', 'workerDestroy'].map((event) => once(this.pool, event)));
    }
    await this.pool.destroy();
  }
}

type Transfer = NonNullable<NonNullable<Parameters<Piscina['run']>[1]>['transferList']>;
