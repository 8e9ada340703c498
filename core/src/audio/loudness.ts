/** Loudness as in ITU-R BS.1770-4, in LUFS. */

const absoluteGateLufs = -70;
const relativeGateLu = -10;
const blockMs = 400;
/** Blocks overlap by three quarters. */
const hopsPerBlock = 4;
/** Left, right, centre, low effects, left surround, right surround. */
const weightsOfSix = [1, 1, 1, 0, 1.41, 1.41];
const weightsOfFive = [1, 1, 1, 1.41, 1.41];

/**
 * The integrated loudness of a sound, gated at -70 LUFS and 10 LU below its own mean. Five channels are taken as
 * left, right, centre and surrounds, six with low effects before the surrounds. -Infinity for silence. What is
 * shorter than one block of 400 ms is measured as it is.
 */
export function integratedLufs(channels: readonly Float32Array[], rateHz: number): number {
  const powers = blockPowers(channels, rateHz);
  const audible = powers.filter((power) => lufsOf(power) > absoluteGateLufs);
  const gate = lufsOf(meanOf(audible)) + relativeGateLu;
  return lufsOf(meanOf(audible.filter((power) => lufsOf(power) > gate)));
}

function blockPowers(channels: readonly Float32Array[], rateHz: number): readonly number[] {
  const hop = Math.max(1, Math.round(((blockMs / 1000) * rateHz) / hopsPerBlock));
  const length = channels[0]?.length ?? 0;
  const hops = new Float64Array(Math.ceil(length / hop));
  channels.forEach((channel, index) => {
    const weight = weightOf(index, channels.length);
    if (weight > 0) addPowers(hops, channel, hop, weight, rateHz);
  });
  const whole = Math.floor(length / hop);
  if (whole < hopsPerBlock) return length === 0 ? [] : [sumOf(hops) / length];
  return Array.from(
    { length: whole - hopsPerBlock + 1 },
    (_, first) => sumOf(hops.subarray(first, first + hopsPerBlock)) / (hop * hopsPerBlock),
  );
}

/**
 * Adds the power of a channel under the K-weighting to each hop: a shelf for the head, then a high-pass. The standard
 * gives both filters for 48 kHz; these are the analogue ones behind them, so that any rate can be measured.
 */
function addPowers(hops: Float64Array, channel: Float32Array, hop: number, weight: number, rateHz: number): void {
  const shelf = shelfAt(rateHz);
  const highPass = highPassAt(rateHz);
  let [shelf1, shelf2, high1, high2] = [0, 0, 0, 0];
  for (let place = 0; place < hops.length; place += 1) {
    const end = Math.min(channel.length, (place + 1) * hop);
    let sum = 0;
    for (let at = place * hop; at < end; at += 1) {
      const sample = channel[at] as number;
      const middle = shelf.b0 * sample + shelf1;
      shelf1 = shelf.b1 * sample - shelf.a1 * middle + shelf2;
      shelf2 = shelf.b2 * sample - shelf.a2 * middle;
      const out = middle + high1;
      high1 = -2 * middle - highPass.a1 * out + high2;
      high2 = middle - highPass.a2 * out;
      sum += out * out;
    }
    hops[place] = (hops[place] as number) + weight * sum;
  }
}

function weightOf(index: number, count: number): number {
  const weights = count === 6 ? weightsOfSix : count === 5 ? weightsOfFive : [];
  return weights[index] ?? 1;
}

function shelfAt(rateHz: number) {
  const k = Math.tan((Math.PI * 1681.974450955533) / rateHz);
  const q = 0.7071752369554196;
  const high = 10 ** (3.999843853973347 / 20);
  const band = high ** 0.4996667741545416;
  const a0 = 1 + k / q + k * k;
  return {
    b0: (high + (band * k) / q + k * k) / a0,
    b1: (2 * (k * k - high)) / a0,
    b2: (high - (band * k) / q + k * k) / a0,
    a1: (2 * (k * k - 1)) / a0,
    a2: (1 - k / q + k * k) / a0,
  };
}

/** Its coefficients of what comes in are 1, -2 and 1. */
function highPassAt(rateHz: number) {
  const k = Math.tan((Math.PI * 38.13547087602444) / rateHz);
  const q = 0.5003270373238773;
  const a0 = 1 + k / q + k * k;
  return { a1: (2 * (k * k - 1)) / a0, a2: (1 - k / q + k * k) / a0 };
}

function sumOf(values: Float64Array): number {
  return values.reduce((sum, value) => sum + value, 0);
}

function meanOf(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}

function lufsOf(power: number): number {
  return -0.691 + 10 * Math.log10(power);
}
