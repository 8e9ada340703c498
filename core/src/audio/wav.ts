import { right, wrong, type Result } from '../result';
import { decodeMuLaw, encodeMuLaw, toInt16 } from './g711';
import type { Pcm } from './pcm';

/** Format tags of the RIFF WAVE `fmt ` chunk. */
const formatTag = { pcm: 1, muLaw: 7 } as const;

export type WavProblem =
  | { readonly type: 'notWav' }
  | { readonly type: 'noSound' }
  | { readonly type: 'unknownCoding'; readonly formatTag: number; readonly bits: number };

/** A WAV file of 16-bit PCM, one channel. */
export function writeWav({ samples, rateHz }: Pcm): Uint8Array {
  const data = new Uint8Array(samples.length * 2);
  const view = new DataView(data.buffer);
  samples.forEach((sample, index) => view.setInt16(index * 2, toInt16(sample), true));
  return wavFile(formatTag.pcm, 16, rateHz, data);
}

/** A WAV file of G.711 mu-law, one channel: what the telephone carries. */
export function writeMuLawWav({ samples, rateHz }: Pcm): Uint8Array {
  return wavFile(formatTag.muLaw, 8, rateHz, encodeMuLaw(samples));
}

function wavFile(tag: number, bits: number, rateHz: number, data: Uint8Array): Uint8Array {
  const padded = data.length + (data.length % 2);
  const file = new Uint8Array(44 + padded);
  const view = new DataView(file.buffer);
  putText(file, 0, 'RIFF');
  view.setUint32(4, 36 + padded, true);
  putText(file, 8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, tag, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rateHz, true);
  view.setUint32(28, (rateHz * bits) / 8, true);
  view.setUint16(32, bits / 8, true);
  view.setUint16(34, bits, true);
  putText(file, 36, 'data');
  view.setUint32(40, data.length, true);
  file.set(data, 44);
  return file;
}

/** Reads a WAV file of 16-bit PCM or mu-law; several channels are mixed to one. A file that was cut off is read as far as it goes. */
export function readWav(file: Uint8Array): Result<Pcm, WavProblem> {
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  if (file.length < 12 || textAt(file, 0) !== 'RIFF' || textAt(file, 8) !== 'WAVE') return wrong({ type: 'notWav' });
  const format = findChunk(file, view, 'fmt ');
  const data = findChunk(file, view, 'data');
  if (!format || format.length < 16 || !data) return wrong({ type: 'notWav' });
  const [tag, channels, rateHz, bits] = [
    view.getUint16(format.at, true),
    view.getUint16(format.at + 2, true),
    view.getUint32(format.at + 4, true),
    view.getUint16(format.at + 14, true),
  ];
  const bytes = file.subarray(data.at, data.at + data.length);
  const samples = decode(tag, bits, bytes);
  if (!samples || channels < 1 || channels > 8 || rateHz < 1000 || rateHz > 400_000) {
    return wrong({ type: 'unknownCoding', formatTag: tag, bits });
  }
  const mixed = mixDown(samples, channels);
  return mixed.length === 0 ? wrong({ type: 'noSound' }) : right({ samples: mixed, rateHz });
}

function decode(tag: number, bits: number, bytes: Uint8Array): Float32Array | undefined {
  if (tag === formatTag.muLaw && bits === 8) return decodeMuLaw(bytes);
  if (tag !== formatTag.pcm || bits !== 16) return undefined;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  return Float32Array.from({ length: bytes.length >> 1 }, (_, index) => view.getInt16(index * 2, true) / 32768);
}

function mixDown(samples: Float32Array, channels: number): Float32Array {
  if (channels === 1) return samples;
  return Float32Array.from({ length: Math.floor(samples.length / channels) }, (_, frame) => {
    let sum = 0;
    for (let channel = 0; channel < channels; channel += 1) sum += samples[frame * channels + channel] ?? 0;
    return sum / channels;
  });
}

function findChunk(file: Uint8Array, view: DataView, name: string): { at: number; length: number } | undefined {
  let at = 12;
  while (at + 8 <= file.length) {
    const length = Math.min(view.getUint32(at + 4, true), file.length - at - 8);
    if (textAt(file, at) === name) return { at: at + 8, length };
    at += 8 + length + (length % 2);
  }
  return undefined;
}

function textAt(file: Uint8Array, at: number): string {
  return String.fromCharCode(...file.subarray(at, at + 4));
}

function putText(file: Uint8Array, at: number, text: string): void {
  for (let index = 0; index < text.length; index += 1) file[at + index] = text.charCodeAt(index);
}
