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
