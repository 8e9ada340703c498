import type { Pcm } from './pcm';

/** The lowest and highest sample of each of so many equal stretches: a sound as it is drawn. */
export interface Waveform {
  readonly low: Float32Array;
  readonly high: Float32Array;
}

export function waveformOf({ samples }: Pcm, columns: number): Waveform {
  const low = new Float32Array(columns);
  const high = new Float32Array(columns);
  for (let column = 0; column < columns; column += 1) {
    const from = Math.floor((column * samples.length) / columns);
    const to = Math.max(from + 1, Math.floor(((column + 1) * samples.length) / columns));
    for (let index = from; index < Math.min(to, samples.length); index += 1) {
      const sample = samples[index] as number;
      if (sample < (low[column] as number)) low[column] = sample;
      if (sample > (high[column] as number)) high[column] = sample;
    }
  }
  return { low, high };
}
