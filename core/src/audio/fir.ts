/** Shape of the Kaiser window: about 70 dB between what passes and what does not. */
const kaiserBeta = 6.8;
const tableSteps = 4096;
const window = Float64Array.from({ length: tableSteps + 2 }, (_, step) => {
  const x = Math.min(1, step / tableSteps);
  return bessel(kaiserBeta * Math.sqrt(1 - x * x)) / bessel(kaiserBeta);
});

/**
 * A low-pass filter at a distance, in samples, from its middle: a sinc under a Kaiser window. `cutoff` is where it is
 * half closed, as a part of the Nyquist rate; `reach` is where it ends, in samples.
 */
export function windowedSinc(distance: number, cutoff: number, reach: number): number {
  const x = Math.PI * cutoff * distance;
  return cutoff * (x === 0 ? 1 : Math.sin(x) / x) * windowAt(Math.abs(distance / reach));
}

function windowAt(x: number): number {
  if (x >= 1) return 0;
  const step = Math.floor(x * tableSteps);
  const [here, next] = [window[step] as number, window[step + 1] as number];
  return here + (next - here) * (x * tableSteps - step);
}

/** The sum of products of so many values of two rows, each from a place on; eight at a time, which is quicker. */
export function dot(one: Float32Array, oneFrom: number, other: Float64Array, otherFrom: number, count: number): number {
  let a = 0;
  let b = 0;
  let c = 0;
  let d = 0;
  let i = oneFrom;
  let j = otherFrom;
  const end = otherFrom + count;
  for (; j + 7 < end; i += 8, j += 8) {
    a += (one[i] as number) * (other[j] as number) + (one[i + 4] as number) * (other[j + 4] as number);
    b += (one[i + 1] as number) * (other[j + 1] as number) + (one[i + 5] as number) * (other[j + 5] as number);
    c += (one[i + 2] as number) * (other[j + 2] as number) + (one[i + 6] as number) * (other[j + 6] as number);
    d += (one[i + 3] as number) * (other[j + 3] as number) + (one[i + 7] as number) * (other[j + 7] as number);
  }
  for (; j < end; i += 1, j += 1) a += (one[i] as number) * (other[j] as number);
  return a + b + c + d;
}

/** Runs a symmetric filter over samples; it looks as far ahead as back, so nothing is delayed. */
export function convolve(samples: Float32Array, taps: Float64Array): Float32Array {
  const half = (taps.length - 1) / 2;
  return samples.map((_, index) => {
    const from = Math.max(0, half - index);
    const to = Math.min(taps.length, samples.length + half - index);
    return dot(samples, index + from - half, taps, from, to - from);
  });
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
