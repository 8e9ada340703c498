import {
  decodeMuLaw,
  lengthMs,
  measure,
  phoneRateHz,
  readWav,
  resample,
  soundFaults,
  writeMuLawWav,
  type Pcm,
} from '@locutor/core/audio';

/** What was recorded of a call: the raw mu-law of each side, and how long it took at least. */
export interface Tracks {
  readonly sides: readonly Uint8Array[];
  readonly leastSamples: number;
}

/** A message or recording as it is kept: a WAV file of mu-law at 8 kHz. */
export interface Spoken {
  readonly wav: Uint8Array;
  readonly lengthMs: number;
  /** Whether nobody spoke: nothing is to be heard on it. */
  readonly isSilent: boolean;
}

/** Both sides together, never louder than can be. */
export function mixTracks({ sides, leastSamples }: Tracks): Pcm {
  const tracks = sides.map((side) => decodeMuLaw(side));
  const samples = new Float32Array(Math.max(leastSamples, ...tracks.map((track) => track.length)));
  for (const track of tracks) {
    track.forEach((sample, at) => (samples[at] = Math.max(-1, Math.min(1, (samples[at] ?? 0) + sample))));
  }
  return { samples, rateHz: phoneRateHz };
}

export function spokenOf(sound: Pcm): Spoken {
  const isSilent = soundFaults(measure(sound)).includes('silent');
  return { wav: writeMuLawWav(sound), lengthMs: lengthMs(sound), isSilent };
}

/** A message that comes as a WAV file; why it is not taken, where it is not. */
export function leftAs(file: Uint8Array, mostMs: number): Spoken | 'notWav' | 'tooLong' {
  const sound = readWav(file);
  if (!sound.ok) return 'notWav';
  if (lengthMs(sound.value) > mostMs) return 'tooLong';
  return spokenOf(resample(sound.value, phoneRateHz));
}
