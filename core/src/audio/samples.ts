import { decodeG711, type G711Law } from './g711';

/** How samples are written in a file. Whole numbers are signed, but for 8 bits in WAV, which are offset by 128. */
export type Coding =
  | { readonly type: 'whole'; readonly bits: 8 | 16 | 24 | 32; readonly offset8?: boolean }
  | { readonly type: 'float'; readonly bits: 32 | 64 }
  | { readonly type: 'g711'; readonly law: G711Law };

export function bytesPerSample(coding: Coding): number {
  return coding.type === 'g711' ? 1 : coding.bits / 8;
}

/** Reads samples from -1 to 1; what a float file holds beyond is kept, what is no number is silence. */
export function readSamples(bytes: Uint8Array, coding: Coding, littleEndian: boolean): Float32Array {
  if (coding.type === 'g711') return decodeG711(bytes, coding.law);
  const size = bytesPerSample(coding);
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const samples = new Float32Array(Math.floor(bytes.length / size));
  const read = readerOf(view, coding, littleEndian);
  for (let index = 0; index < samples.length; index += 1) samples[index] = read(index * size);
  return samples;
}

function readerOf(
  view: DataView,
  coding: Exclude<Coding, { type: 'g711' }>,
  littleEndian: boolean,
): (at: number) => number {
  if (coding.type === 'float') {
    const read = (at: number): number =>
      coding.bits === 32 ? view.getFloat32(at, littleEndian) : view.getFloat64(at, littleEndian);
    return (at) => {
      const sample = read(at);
      return Number.isFinite(sample) ? sample : 0;
    };
  }
  switch (coding.bits) {
    case 8:
      return coding.offset8 ? (at) => (view.getUint8(at) - 128) / 128 : (at) => view.getInt8(at) / 128;
    case 16:
      return (at) => view.getInt16(at, littleEndian) / 0x8000;
    case 24:
      return (at) => {
        const low = view.getUint8(littleEndian ? at : at + 2);
        return (view.getInt16(littleEndian ? at + 1 : at, littleEndian) * 256 + low) / 0x80_0000;
      };
    case 32:
      return (at) => view.getInt32(at, littleEndian) / 0x8000_0000;
  }
}
