import { Global, Injectable, Module, type OnApplicationShutdown } from '@nestjs/common';
import { Workers } from '../workers';
import type { ReckoningName, Reckonings, Task } from './task';

/** What a proof or rehearsals of the largest attendant take on a slow machine, many times over. */
const longestMs = 120_000;
const mostHeapMb = 1024;

/**
 * Reckons in threads of its own what would hold the one that carries every call's voice: nothing there may take longer than
 * 20 ms (`npm run bench` measures it).
 */
@Injectable()
export class Reckoning implements OnApplicationShutdown {
  private readonly workers = new Workers<Task, unknown>(require.resolve('@locutor/server/reckoning/reckon.worker'), {
    maxThreads: 2,
    longestMs,
    mostHeapMb,
  });

  async of<Name extends ReckoningName>(name: Name, from: Reckonings[Name]['from']): Promise<Reckonings[Name]['to']> {
    return (await this.workers.run({ name, from } as Task)) as Reckonings[Name]['to'];
  }

  /** Last of all: what was spoken on calls that were cut is still to be kept. */
  async onApplicationShutdown(): Promise<void> {
    await this.workers.end();
  }
}

@Global()
@Module({ providers: [Reckoning], exports: [Reckoning] })
export class ReckoningModule {}
