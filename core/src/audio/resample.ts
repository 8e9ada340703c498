import { dot, windowedSinc } from './fir';
import type { Pcm } from './pcm';

/** Zero crossings of the filter on each side: more is steeper and slower. */
const crossings = 23;
/**
 * Where the filter is half closed, as a part of the lower of the two Nyquist rates. It is shut a little above the
 * Nyquist rate: the little that folds back there lands above all that a telephone carries.
 */
const passBand = 0.978;

/** Far above the new rate, the sound is first brought near it by a short filter, which saves most of the work. */
const roughCrossings = 8;

/**
 * The same sound at another rate, band-limited by a Kaiser-windowed sinc, so that nothing above the new Nyquist
 * rate folds back into it. Down to 8 kHz, 3.6 kHz is kept whole and
 * all from 4.3 kHz on is 60 dB down or more.
 */
export function resample(pcm: Pcm, rateHz: number): Pcm {
  if (pcm.rateHz === rateHz) return pcm;
  const near = nearRate(pcm, rateHz);
  const ratio = rateHz / near.rateHz;
  const length = Math.round((pcm.samples.length * rateHz) / pcm.rateHz);
  return filtered(near, rateHz, length, passBand * Math.min(1, ratio), crossings);
}

/** The sound at a whole part of its rate, still half as high again as the one wanted; as it is where there is none. */
function nearRate(pcm: Pcm, rateHz: number): Pcm {
  const part = Math.floor(pcm.rateHz / (1.5 * rateHz));
  if (part < 2) return pcm;
  // Open up to the wanted Nyquist rate; closed where what folds back would come below it.
  const cutoff = 1 / part;
  return filtered(pcm, pcm.rateHz / part, Math.ceil(pcm.samples.length / part), cutoff, roughCrossings);
}

function filtered(
  { samples: source, rateHz: fromHz }: Pcm,
  rateHz: number,
  length: number,
  cutoff: number,
  zeros: number,
): Pcm {
  const step = fromHz / rateHz;
  const reach = zeros / cutoff;
  const phases = phaseTable(fromHz, rateHz, cutoff, reach);
  const samples = new Float32Array(length);
  for (let index = 0; index < length; index += 1) {
    const taps = phases[index % phases.length] as Float64Array;
    const first = Math.ceil(index * step - reach);
    const from = Math.max(0, -first);
    const to = Math.min(taps.length, source.length - first);
    samples[index] = dot(source, first + from, taps, from, to - from);
  }
  return { samples, rateHz };
}

/** The filter's taps for each position that an output sample can have between two input samples; they repeat. */
function phaseTable(fromHz: number, toHz: number, cutoff: number, reach: number): Float64Array[] {
  const count = Math.round(toHz / greatestCommonDivisor(fromHz, toHz));
  return Array.from({ length: count }, (_, phase) => {
    const centre = (phase * fromHz) / toHz;
    const first = Math.ceil(centre - reach);
    const taps = new Float64Array(Math.floor(centre + reach) - first + 1);
    return taps.map((_unused, tap) => windowedSinc(first + tap - centre, cutoff, reach));
  });
}

function greatestCommonDivisor(one: number, other: number): number {
  return other < 1e-6 ? one : greatestCommonDivisor(other, one % other);
}
