import type { Pcm } from './pcm';
import { truePeaks } from './truePeak';

/** How long before a peak the gain begins to go down, and how long after it comes back. */
const reachMs = 6;

/** Keeps the true peak under a ceiling, in dB relative to full scale, by turning down around the peaks only. */
export function limitPeaks(pcm: Pcm, ceilingDb: number): Pcm {
  const ceiling = 10 ** (ceilingDb / 20);
  const { samples, rateHz } = pcm;
  const peaks = truePeaks(samples, ceiling);
  if (!peaks.some((peak) => peak > ceiling)) return pcm;
  const reach = Math.max(1, Math.round((reachMs / 1000) * rateHz));
  const needed = peaks.map((peak) => Math.min(1, ceiling / peak));
  const gain = smoothed(lowestAround(needed, reach), reach);
  return { rateHz, samples: samples.map((sample, index) => sample * (gain[index] as number)) };
}

/** The lowest of the values up to `reach` before and after each; a queue of candidates makes it one pass. */
function lowestAround(values: Float32Array, reach: number): Float32Array {
  const lowest = new Float32Array(values.length);
  const waiting: number[] = [];
  let head = 0;
  for (let index = 0; index < values.length + reach; index += 1) {
    if (index < values.length) {
      while (waiting.length > head && (values[waiting.at(-1) as number] as number) >= (values[index] as number)) {
        waiting.pop();
      }
      waiting.push(index);
    }
    const middle = index - reach;
    if (middle < 0) continue;
    while ((waiting[head] as number) < middle - reach) head += 1;
    lowest[middle] = values[waiting[head] as number] as number;
  }
  return lowest;
}

/** The mean of the values up to `reach` before and after each. */
function smoothed(values: Float32Array, reach: number): Float32Array {
  const sums = new Float64Array(values.length + 1);
  for (let index = 0; index < values.length; index += 1) {
    sums[index + 1] = (sums[index] as number) + (values[index] as number);
  }
  return values.map((_, index) => {
    const from = Math.max(0, index - reach);
    const to = Math.min(values.length, index + reach + 1);
    return ((sums[to] as number) - (sums[from] as number)) / (to - from);
  });
}
