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
  private readonly threads: Threads;
  private readonly longestMs: number;
  private isEnding = false;
  /** When each piece of work was asked for, the oldest first. */
  private readonly underWay = new Set<{ readonly sinceMs: number; readonly over: AbortController }>();

  /** @param filename the worker's file, compiled */
  constructor(
    private readonly filename: string,
    { longestMs = Infinity, ...options }: Options = {},
  ) {
    this.longestMs = longestMs;
    this.threads = kept?.get(filename) ?? startThreads(filename, options);
    kept?.delete(filename);
  }

  /** @throws AbortError when the signal gives the task up. */
  async run(
    task: Task,
    { signal = null, transfer = [] }: { signal?: AbortSignal | null; transfer?: Transfer } = {},
  ): Promise<Done> {
    if (this.isEnding) throw new WorkStopped();
    const work = { sinceMs: performance.now(), over: new AbortController() };
    this.underWay.add(work);
    const late = Number.isFinite(this.longestMs) ? AbortSignal.timeout(this.longestMs) : null;
    const given = AbortSignal.any([work.over.signal, ...[signal, late].flatMap((each) => each ?? [])]);
    try {
      return (await this.threads.pool.run(task, { signal: given, transferList: [...transfer] })) as Done;
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
    const waiting = this.threads.pool.queueSize;
    return { waiting, busyMs: oldest ? Math.round(performance.now() - oldest.sinceMs) : 0 };
  }

  /** Ends all threads, and with them what they are doing. */
  async end(): Promise<void> {
    this.isEnding = true;
    const { pool, ready } = this.threads;
    while (ready.size < pool.threads.length) {
      await Promise.race(['workerCreate', 'workerDestroy'].map((event) => once(pool, event)));
    }
    for (const { over } of this.underWay) over.abort();
    if (kept && !kept.has(this.filename)) kept.set(this.filename, this.threads);
    else await pool.destroy();
  }
}

type Transfer = NonNullable<NonNullable<Parameters<Piscina['run']>[1]>['transferList']>;

interface Threads {
  readonly pool: Piscina;
  /** Those that have loaded their file. */
  readonly ready: ReadonlySet<unknown>;
}

function startThreads(filename: string, { maxThreads = 1, idleMs = 60_000, mostHeapMb }: Options): Threads {
  const ready = new Set<unknown>();
  // Threads that a pool starts with are taken for ready before they are: hence none.
  const pool = new Piscina({
    ...{ filename, minThreads: 0, maxThreads, idleTimeout: idleMs },
    ...(mostHeapMb && { resourceLimits: { maxOldGenerationSizeMb: mostHeapMb } }),
  });
  pool.on('workerCreate', (thread) => ready.add(thread));
  pool.on('workerDestroy', (thread) => ready.delete(thread));
  return { pool, ready };
}

/** Threads of workers that ended, by their file; null where threads end with their workers. */
let kept: Map<string, Threads> | null = null;

/**
 * From now on threads outlive their workers, and the next ones of the same file go on with them: for a process that runs
 * one server after the other, as tests do. The file must keep nothing of what it worked on that would matter to another.
 */
export function keepThreads(): void {
  kept ??= new Map();
}
