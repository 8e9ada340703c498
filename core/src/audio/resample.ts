import type { Pcm } from './pcm';

/** Zero crossings of the filter on each side: more is steeper and slower. */
const crossings = 32;
const kaiserBeta = 8;
/** Where the filter begins to close, as a part of the lower of the two Nyquist rates. */
const passBand = 0.92;

/**
 * The same sound at another rate, band-limited by a Kaiser-windowed sinc, so that nothing above the new Nyquist
 * rate folds back into it.
 */
export function resample(pcm: Pcm, rateHz: number): Pcm {
  if (pcm.rateHz === rateHz) return pcm;
  const ratio = rateHz / pcm.rateHz;
  const cutoff = passBand * Math.min(1, ratio);
  const reach = crossings / cutoff;
  const phases = phaseTable(pcm.rateHz, rateHz, cutoff, reach);
  const length = Math.round(pcm.samples.length * ratio);
  const samples = new Float32Array(length);
  for (let index = 0; index < length; index += 1) {
    const centre = index / ratio;
    const first = Math.ceil(centre - reach);
    const taps = phases[index % phases.length] as Float32Array;
    let sum = 0;
    for (let tap = 0; tap < taps.length; tap += 1) sum += (pcm.samples[first + tap] ?? 0) * (taps[tap] as number);
    samples[index] = sum;
  }
  return { samples, rateHz };
}

/** The filter's taps for each position that an output sample can have between two input samples; they repeat. */
function phaseTable(fromHz: number, toHz: number, cutoff: number, reach: number): Float32Array[] {
  const count = toHz / greatestCommonDivisor(fromHz, toHz);
  const ratio = toHz / fromHz;
  return Array.from({ length: count }, (_, phase) => {
    const centre = phase / ratio;
    const first = Math.ceil(centre - reach);
    const last = Math.floor(centre + reach);
    return Float32Array.from({ length: last - first + 1 }, (_unused, tap) => {
      const distance = first + tap - centre;
      return cutoff * sinc(cutoff * distance) * kaiser(distance / reach);
    });
  });
}

function sinc(x: number): number {
  return x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
}

function kaiser(x: number): number {
  return Math.abs(x) > 1 ? 0 : bessel(kaiserBeta * Math.sqrt(1 - x * x)) / bessel(kaiserBeta);
}

/** The modified Bessel function of the first kind, order 0, by its series. */
function bessel(x: number): number {
  let sum = 1;
  let term = 1;
  for (let k = 1; term > 1e-12 * sum; k += 1) {
    term *= (x / (2 * k)) ** 2;
    sum += term;
  }
  return sum;
}

function greatestCommonDivisor(one: number, other: number): number {
  return other === 0 ? one : greatestCommonDivisor(other, one % other);
}
