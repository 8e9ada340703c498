import { availableParallelism } from 'node:os';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { ownVoiceIn, voiceNameOf, type VoiceId, type VoiceName } from '@locutor/core/line';
import { VoiceFolder } from '../voices/voiceFolder';
import { together, Workers, type WorkersState } from '../workers';
import { Voice, type Spoken, type VoiceTask } from './voice';

/** The voices that Flite has; eSpeak NG has the others. */
const fliteVoices: ReadonlySet<VoiceName> = new Set(['slt', 'rms', 'awb', 'kal16']);

/**
 * Flite for most of English, eSpeak NG for British English and other languages, both as WebAssembly in worker threads; the
 * voices of the business's own besides.
 */
@Injectable()
export class LocalVoice extends Voice implements OnModuleDestroy {
  private readonly flite = workersOf('@locutor/server/speech/flite.worker');
  private readonly espeak = workersOf('@locutor/server/speech/espeak.worker');

  constructor(private readonly own: VoiceFolder) {
    super();
  }

  speak(voice: VoiceId, text: string): Promise<Spoken> {
    if (ownVoiceIn(voice)) return this.own.speak(voice, text);
    return (fliteVoices.has(voiceNameOf(voice)) ? this.flite : this.espeak).run({ voice, text });
  }

  state(): WorkersState {
    return together([this.flite.state(), this.espeak.state(), this.own.state()]);
  }

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.flite.end(), this.espeak.end()]);
  }
}

function workersOf(file: string): Workers<VoiceTask, Spoken> {
  return new Workers<VoiceTask, Spoken>(require.resolve(file), { maxThreads: Math.max(1, availableParallelism() - 1) });
}
