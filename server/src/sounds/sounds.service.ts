import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { Cutting, G711Law, PolishStage, Recipe, SoundFileProblem } from '@locutor/core/audio';
import type { Result } from '@locutor/core/result';
import type { AudioId } from '../audio/audioId';
import { AudioStore } from '../audio/audioStore';
import { Workers, type WorkersState } from '../workers';
import type { Brought, DownloadKind, ForListening, Ready, SoundTask } from './soundTask';

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

  constructor(private readonly audio: AudioStore) {}

  async onModuleDestroy(): Promise<void> {
    await this.workers.end();
  }

  state(): WorkersState {
    return this.workers.state();
  }

  /** Reads a file, makes it good, and keeps it as it came and as it became. @throws AbortError when it is given up. */
  bring(
    path: string,
    name: string,
    law: G711Law | null,
    recipe: Recipe,
    progress: Progress = {},
  ): Promise<Result<Brought, SoundFileProblem>> {
    const { folder } = this.audio;
    return this.run(progress, (port) => ({ type: 'bring', path, name, law, recipe, folder, ...(port && { port }) }));
  }

  /** Makes a kept recording good once more, and keeps that; null where nothing is left of it. */
  async polish(id: AudioId, recipe: Recipe, progress: Progress = {}): Promise<Ready | null> {
    const recording = await this.audio.pathOfKept(id);
    const { folder } = this.audio;
    return this.run(progress, (port) => ({ type: 'polish', recording, recipe, folder, ...(port && { port }) }));
  }

  async write(id: AudioId, recipe: Recipe, as: DownloadKind): Promise<Uint8Array> {
    const recording = await this.audio.pathOfKept(id);
    return this.run({}, () => ({ type: 'write', recording, recipe, as }));
  }

  /** The recording as the recogniser wants it. */
  async forListening(id: AudioId, { cuts, pauses }: Cutting): Promise<ForListening> {
    const recording = await this.audio.pathOfKept(id);
    return this.run({}, () => ({ type: 'forListening', recording, cutting: { cuts, pauses } }));
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
