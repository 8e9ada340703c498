import { availableParallelism } from 'node:os';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { languageOf, type VoiceId } from '@locutor/core/line';
import { Piscina } from 'piscina';
import { Voice, type Spoken, type VoiceTask } from './voice';

/** Flite for English and eSpeak NG for other languages, both as WebAssembly in worker threads. */
@Injectable()
export class LocalVoice extends Voice implements OnModuleDestroy {
  private readonly english = poolOf(require.resolve('@locutor/server/speech/flite.worker'), 1);
  private readonly others = poolOf(require.resolve('@locutor/server/speech/espeak.worker'), 0);

  speak(voice: VoiceId, text: string): Promise<Spoken> {
    return (languageOf(voice) === 'en' ? this.english : this.others).run({ voice, text });
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.english.destroy(), this.others.destroy()]);
  }
}

function poolOf(filename: string, minThreads: number): Piscina<VoiceTask, Spoken> {
  const maxThreads = Math.max(1, availableParallelism() - 1);
  return new Piscina<VoiceTask, Spoken>({ filename, minThreads, maxThreads, idleTimeout: 60_000 });
}
