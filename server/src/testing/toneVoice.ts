import { createHash } from 'node:crypto';
import { phoneRateHz, writeMuLawWav } from '@locutor/core/audio';
import type { VoiceId } from '@locutor/core/line';
import { Voice, type Spoken } from '../speech/voice';
import type { WorkersState } from '../workers';

const lengthMs = 300;

/** Says everything as a short tone of its own, at once: for specs in which it does not matter how words sound. */
export class ToneVoice extends Voice {
  state(): WorkersState {
    return { waiting: 0, busyMs: 0 };
  }

  speak(voice: VoiceId, text: string): Promise<Spoken> {
    const pitch = createHash('sha256').update(`${voice} ${text}`).digest().readUInt16BE();
    const hz = 300 + (pitch / 0xffff) * 1000;
    const samples = Float32Array.from(
      { length: (lengthMs * phoneRateHz) / 1000 },
      (_, at) => 0.2 * Math.sin((2 * Math.PI * hz * at) / phoneRateHz),
    );
    return Promise.resolve({ wav: writeMuLawWav({ samples, rateHz: phoneRateHz }), lengthMs });
  }
}
