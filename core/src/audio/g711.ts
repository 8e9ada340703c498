/** Mu-law as in ITU-T G.711: 14-bit speech in 8-bit codes. Samples here are 16-bit, of which it keeps the upper 14. */

const bias = 0x84;
const clip = 32635;

/** The mu-law code, 0 to 255, of a 16-bit sample. */
export function encodeMuLawSample(sample: number): number {
  const sign = sample < 0 ? 0x80 : 0;
  const magnitude = Math.min(Math.abs(sample), clip) + bias;
  const exponent = Math.max(0, 31 - Math.clz32(magnitude) - 7);
  const mantissa = (magnitude >> (exponent + 3)) & 0x0f;
  return ~(sign | (exponent << 4) | mantissa) & 0xff;
}

/** The 16-bit sample of a mu-law code. */
export function decodeMuLawSample(code: number): number {
  const inverted = ~code & 0xff;
  const exponent = (inverted >> 4) & 0x07;
  const magnitude = (((inverted & 0x0f) << 3) + bias) << exponent;
  return inverted & 0x80 ? bias - magnitude : magnitude - bias;
}

const decoded = Float32Array.from({ length: 256 }, (_, code) => decodeMuLawSample(code) / 32768);

/** Samples from -1 to 1 as mu-law codes, a byte each. */
export function encodeMuLaw(samples: Float32Array): Uint8Array {
  return Uint8Array.from(samples, (sample) => encodeMuLawSample(toInt16(sample)));
}

/** Mu-law codes as samples from -1 to 1. */
export function decodeMuLaw(codes: Uint8Array): Float32Array {
  return Float32Array.from(codes, (code) => decoded[code] ?? 0);
}

/** A sample from -1 to 1 as a 16-bit number; what lies beyond is clipped. */
export function toInt16(sample: number): number {
  return Math.max(-32768, Math.min(32767, Math.round(sample * 32768)));
}
