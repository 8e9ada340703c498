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
  // Where an output sample can stand between two input samples repeats after so many of them, for rates that go together.
  const repeats = Math.round(rateHz / greatestCommonDivisor(fromHz, rateHz));
  const places = Math.min(repeats, mostPlaces);
  const taps = Array.from({ length: places }, (_, place) => tapsAt(place / places, cutoff, reach));
  const samples = new Float32Array(length);
  for (let index = 0; index < length; index += 1) {
    // For others the nearest of very many places stands for each: the error is 70 dB down.
    const at = Math.round(index * step * places);
    const whole = Math.floor(at / places);
    const { first: beside, values } = taps[at - whole * places] as Taps;
    const first = whole + beside;
    const from = Math.max(0, -first);
    const to = Math.min(values.length, source.length - first);
    samples[index] = dot(source, first + from, values, from, to - from);
  }
  return { samples, rateHz };
}

const mostPlaces = 4096;

/** The filter around a place between two input samples: where it begins, from the one before, and its values. */
interface Taps {
  readonly first: number;
  readonly values: Float64Array;
}

function tapsAt(place: number, cutoff: number, reach: number): Taps {
  const first = Math.ceil(place - reach);
  const values = new Float64Array(Math.floor(place + reach) - first + 1);
  return { first, values: values.map((_unused, tap) => windowedSinc(first + tap - place, cutoff, reach)) };
}

function greatestCommonDivisor(one: number, other: number): number {
  return other < 1e-6 ? one : greatestCommonDivisor(other, one % other);
}
