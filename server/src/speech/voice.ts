import type { WorkersState } from '../workers';
import type { VoiceId } from '@locutor/core/line';

export interface Spoken {
  /** A WAV file as the telephone carries it: G.711 mu-law, 8 kHz. */
  readonly wav: Uint8Array;
  readonly lengthMs: number;
}

/** One sentence for a worker to speak. */
export interface VoiceTask {
  readonly voice: VoiceId;
  readonly text: string;
}

/** Speech synthesis: one sentence to phone-ready audio. The shipped one runs locally; others may stand in for it. */
export abstract class Voice {
  abstract speak(voice: VoiceId, sentence: string): Promise<Spoken>;

  /** What it has to do at this moment. */
  abstract state(): WorkersState;
}
