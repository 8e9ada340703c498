import {
  atLineLoudness,
  lengthMs,
  phoneRateHz,
  resample,
  trimEnds,
  writeMuLawWav,
  type Pcm,
} from '@locutor/core/audio';
import type { Spoken } from './voice';

/** Sentences bring their own pauses, so little silence stays at their ends. */
const margin = { startMs: 20, endMs: 30 };

/** What a voice made, as the telephone carries it: both ends trimmed, at the line's loudness, band-limited to 8 kHz. */
export function forPhone(spoken: Pcm): Spoken {
  const { pcm } = atLineLoudness(trimEnds(resample(spoken, phoneRateHz), margin).pcm);
  return { wav: writeMuLawWav(pcm), lengthMs: lengthMs(pcm) };
}

/** How much faster the wave goes at so many half tones up. */
export function pitchRatio(halfTones: number): number {
  return 2 ** (halfTones / 12);
}

/** Higher or lower by half tones, and so much shorter or longer. */
export function atPitch({ samples, rateHz }: Pcm, halfTones: number): Pcm {
  // To a multiple of 100 Hz, so that resampling to the telephone's rate has few phases.
  return { samples, rateHz: halfTones === 0 ? rateHz : Math.round((rateHz * pitchRatio(halfTones)) / 100) * 100 };
}
