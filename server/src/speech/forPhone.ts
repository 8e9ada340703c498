import { lengthMs, phoneRateHz, resample, trimSilence, withLevel, writeMuLawWav, type Pcm } from '@locutor/core/audio';
import type { Spoken } from './voice';

/** Speech on a telephone line: loud enough to carry, with room for peaks. */
const targetDb = -20;

/** What a voice made, as the telephone carries it: both ends trimmed, at one level, band-limited to 8 kHz. */
export function forPhone(spoken: Pcm): Spoken {
  const pcm = resample(withLevel(trimSilence(spoken), targetDb), phoneRateHz);
  return { wav: writeMuLawWav(pcm), lengthMs: lengthMs(pcm) };
}
