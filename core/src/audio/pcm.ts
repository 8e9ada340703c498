const { abs } = Math;

/** One channel of sound: samples from -1 to 1 at a rate in Hz. */
export interface Pcm {
  readonly samples: Float32Array;
  readonly rateHz: number;
}

/** The rate of a telephone line, in Hz (ITU-T G.711). */
export const phoneRateHz = 8000;

export function lengthMs({ samples, rateHz }: Pcm): number {
  return Math.round((samples.length / rateHz) * 1000);
}

/** Root mean square of the samples in dB relative to full scale; -Infinity for silence. */
export function levelDb({ samples }: Pcm): number {
  let sum = 0;
  for (let index = 0; index < samples.length; index += 1) sum += (samples[index] as number) ** 2;
  return 10 * Math.log10(sum / Math.max(1, samples.length));
}

/** Largest sample regardless of sign, 0 to 1. */
export function peakOf({ samples }: Pcm): number {
  let peak = 0;
  for (let index = 0; index < samples.length; index += 1) {
    const size = abs(samples[index] as number);
    if (size > peak) peak = size;
  }
  return peak;
}

export function withGain({ samples, rateHz }: Pcm, gainDb: number): Pcm {
  const gain = 10 ** (gainDb / 20);
  return { samples: samples.map((sample) => sample * gain), rateHz };
}

/** Several pieces of the same rate one after the other. @throws Error when rates differ. */
export function joinPcm(pieces: readonly Pcm[], rateHz: number): Pcm {
  if (pieces.some((piece) => piece.rateHz !== rateHz)) throw new Error(`All pieces must be at ${rateHz} Hz`);
  const samples = joinSamples(pieces.map((piece) => piece.samples));
  return { samples, rateHz };
}

/** Samples one after the other. */
export function joinSamples(pieces: readonly Float32Array[]): Float32Array<ArrayBuffer> {
  const whole = new Float32Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}
