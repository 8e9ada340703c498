import { availableParallelism } from 'node:os';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { VoiceId } from '@locutor/core/line';
import { Piscina } from 'piscina';
import type { Sentence } from './flite.worker';
import { Voice, type Spoken } from './voice';

/** Flite, compiled to WebAssembly, in worker threads. */
@Injectable()
export class FliteVoice extends Voice implements OnModuleDestroy {
  private readonly pool = new Piscina<Sentence, Spoken>({
    filename: require.resolve('@locutor/server/speech/flite.worker'),
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: 60_000,
  });

  speak(voice: VoiceId, text: string): Promise<Spoken> {
    return this.pool.run({ voice, text });
  }

  onModuleDestroy(): Promise<void> {
    return this.pool.destroy();
  }
}
