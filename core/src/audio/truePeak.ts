import { dot, windowedSinc } from './fir';
import { peakOf, type Pcm } from './pcm';

const { abs, max, min } = Math;

/** Places between two samples at which the wave is looked at; ITU-R BS.1770-4 annex 2 asks for four at least. */
const places = 8;
const reach = 16;
const tapsAt = (place: number): Float64Array =>
  Float64Array.from({ length: 2 * reach }, (_, tap) => windowedSinc(tap - reach + 1 - place / places, 0.98, reach));
const halfway = tapsAt(places / 2);
const others = [1, 2, 3, 5, 6, 7].map(tapsAt);

/** Between samples the wave does not rise to more than twice what they reach around there; less than that is passed over. */
const looksFrom = 0.4;
/** Between samples and the places halfway it rises to less than half as much again: 1 / cos(45°) of what it is there. */
const looksCloserFrom = 0.7;

/** The highest point of the wave in dB relative to full scale, between samples too (dBTP). -Infinity for silence. */
export function truePeakDb(pcm: Pcm): number {
  const peaks = truePeaks(pcm.samples, peakOf(pcm));
  return 20 * Math.log10(peakOf({ ...pcm, samples: peaks }));
}

/** How far the wave goes at each sample and on the way to the next, regardless of sign; exact where it nears `level`. */
export function truePeaks(samples: Float32Array, level: number): Float32Array {
  const peaks = samples.map(abs);
  const least = looksFrom * level;
  const closer = looksCloserFrom * level;
  for (let index = 0; index < samples.length; index += 1) {
    const ends = max(peaks[index] as number, abs(samples[index + 1] ?? 0));
    if (ends < least) continue;
    const first = index - reach + 1;
    const from = max(0, -first);
    const to = min(2 * reach, samples.length - first);
    const middle = abs(dot(samples, first + from, halfway, from, to - from));
    let peak = max(peaks[index] as number, middle);
    if (max(ends, middle) >= closer) {
      for (const taps of others) peak = max(peak, abs(dot(samples, first + from, taps, from, to - from)));
    }
    peaks[index] = peak;
  }
  return peaks;
}
