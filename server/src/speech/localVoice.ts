import { availableParallelism } from 'node:os';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { languageOf, type VoiceId } from '@locutor/core/line';
import { together, Workers, type WorkersState } from '../workers';
import { Voice, type Spoken, type VoiceTask } from './voice';

/** Flite for English and eSpeak NG for other languages, both as WebAssembly in worker threads. */
@Injectable()
export class LocalVoice extends Voice implements OnModuleDestroy {
  private readonly english = workersOf('@locutor/server/speech/flite.worker');
  private readonly others = workersOf('@locutor/server/speech/espeak.worker');

  speak(voice: VoiceId, text: string): Promise<Spoken> {
    return (languageOf(voice) === 'en' ? this.english : this.others).run({ voice, text });
  }

  state(): WorkersState {
    return together([this.english.state(), this.others.state()]);
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.english.end(), this.others.end()]);
  }
}

function workersOf(file: string): Workers<VoiceTask, Spoken> {
  return new Workers<VoiceTask, Spoken>(require.resolve(file), { maxThreads: Math.max(1, availableParallelism() - 1) });
}
