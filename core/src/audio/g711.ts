/**
 * Both laws of ITU-T G.711: speech in 8-bit codes. Samples here are 16-bit; they are first rounded to the uniform
 * code that the standard starts from, 14 bits for mu-law and 13 for A-law.
 */
export type G711Law = 'mu' | 'a';

const muBias = 33;
const muClip = 8158;

/** The mu-law code, 0 to 255, of a 16-bit sample. */
export function encodeMuLawSample(sample: number): number {
  const uniform = Math.min(8191, (sample + 2) >> 2);
  const sign = uniform < 0 ? 0x80 : 0;
  const magnitude = Math.min(Math.abs(uniform), muClip) + muBias;
  const exponent = 31 - Math.clz32(magnitude) - 5;
  return ~(sign | (exponent << 4) | ((magnitude >> (exponent + 1)) & 0x0f)) & 0xff;
}

/** The 16-bit sample of a mu-law code. */
export function decodeMuLawSample(code: number): number {
  const inverted = ~code & 0xff;
  const exponent = (inverted >> 4) & 0x07;
  const magnitude = (((inverted & 0x0f) << 3) + (muBias << 2)) << exponent;
  return inverted & 0x80 ? (muBias << 2) - magnitude : magnitude - (muBias << 2);
}

/** The A-law code, 0 to 255, of a 16-bit sample; every other bit is inverted, as on the line. */
export function encodeALawSample(sample: number): number {
  const uniform = Math.min(4095, (sample + 4) >> 3);
  const magnitude = uniform < 0 ? -uniform - 1 : uniform;
  const exponent = magnitude < 32 ? 0 : 31 - Math.clz32(magnitude) - 4;
  const code = (exponent << 4) | ((magnitude >> Math.max(1, exponent)) & 0x0f);
  return code ^ (uniform < 0 ? 0x55 : 0xd5);
}

/** The 16-bit sample of an A-law code. */
export function decodeALawSample(code: number): number {
  const plain = code ^ 0x55;
  const exponent = (plain >> 4) & 0x07;
  const mantissa = (plain & 0x0f) << 4;
  const magnitude = exponent === 0 ? mantissa + 8 : (mantissa + 0x108) << (exponent - 1);
  return plain & 0x80 ? magnitude : -magnitude;
}

const decoded: Readonly<Record<G711Law, Float32Array>> = {
  mu: Float32Array.from({ length: 256 }, (_, code) => decodeMuLawSample(code) / 32768),
  a: Float32Array.from({ length: 256 }, (_, code) => decodeALawSample(code) / 32768),
};

/** Samples from -1 to 1 as codes of a law, a byte each. */
export function encodeG711(samples: Float32Array, law: G711Law): Uint8Array {
  const encode = law === 'mu' ? encodeMuLawSample : encodeALawSample;
  const codes = new Uint8Array(samples.length);
  for (let index = 0; index < samples.length; index += 1) codes[index] = encode(toInt16(samples[index] as number));
  return codes;
}

/** Codes of a law as samples from -1 to 1. */
export function decodeG711(codes: Uint8Array, law: G711Law): Float32Array {
  const table = decoded[law];
  const samples = new Float32Array(codes.length);
  for (let index = 0; index < codes.length; index += 1) samples[index] = table[codes[index] as number] as number;
  return samples;
}

export const encodeMuLaw = (samples: Float32Array): Uint8Array => encodeG711(samples, 'mu');
export const decodeMuLaw = (codes: Uint8Array): Float32Array => decodeG711(codes, 'mu');

/** A sample from -1 to 1 as a 16-bit number; what lies beyond is clipped. */
export function toInt16(sample: number): number {
  return Math.max(-32768, Math.min(32767, Math.round(sample * 32768)));
}
