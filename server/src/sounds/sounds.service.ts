import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { G711Law, PolishStage, Recipe, SoundFileProblem } from '@locutor/core/audio';
import type { Result } from '@locutor/core/result';
import { Workers, type WorkersState } from '../workers';
import type { Brought, DownloadKind, Ready, SoundTask } from './soundTask';

/** How a caller of long work hears of it and ends it. */
export interface Progress {
  readonly tell?: (stage: PolishStage) => void;
  readonly signal?: AbortSignal;
}

/** A piece of work that takes longer than this is given up, and its thread ended: another one begins anew. */
const longestWorkMs = 180_000;

/** Reads, polishes and writes sound in worker threads: two at once, so that one long piece of work holds up nobody. */
@Injectable()
export class SoundsService implements OnModuleDestroy {
  private readonly workers = new Workers<SoundTask, unknown>(require.resolve('@locutor/server/sounds/sound.worker'), {
    ...{ maxThreads: 2, longestMs: longestWorkMs, mostHeapMb: 512 },
  });

  async onModuleDestroy(): Promise<void> {
    await this.workers.end();
  }

  state(): WorkersState {
    return this.workers.state();
  }

  /** Reads a file and makes it good. @throws AbortError when it is given up. */
  bring(
    file: Uint8Array,
    name: string,
    law: G711Law | null,
    recipe: Recipe,
    progress: Progress = {},
  ): Promise<Result<Brought, SoundFileProblem>> {
    return this.run(progress, (port) => ({ type: 'bring', file, name, law, recipe, ...(port && { port }) }));
  }

  /** Makes a kept recording good once more. */
  polish(source: Uint8Array, recipe: Recipe, progress: Progress = {}): Promise<Ready> {
    return this.run(progress, (port) => ({ type: 'polish', source, recipe, ...(port && { port }) }));
  }

  write(source: Uint8Array, recipe: Recipe, as: DownloadKind): Promise<Uint8Array> {
    return this.run({}, () => ({ type: 'write', source, recipe, as }));
  }

  /** The recording as the recogniser wants it (WAV, 16 kHz), at several paces. */
  forListening(source: Uint8Array): Promise<readonly Uint8Array[]> {
    return this.run({}, () => ({ type: 'forListening', source }));
  }

  private async run<Done>({ tell, signal }: Progress, taskOf: (port?: MessagePort) => SoundTask): Promise<Done> {
    if (!tell) return (await this.workers.run(taskOf(), { signal })) as Done;
    const { port1, port2 } = new MessageChannel();
    port1.on('message', tell);
    try {
      return (await this.workers.run(taskOf(port2), { signal, transfer: [port2] })) as Done;
    } finally {
      port1.close();
    }
  }
}
