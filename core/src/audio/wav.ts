import { right, wrong, type Result } from '../result';
import { encodeG711, toInt16, type G711Law } from './g711';
import type { Pcm } from './pcm';
import { bytesPerSample, readSamples, type Coding } from './samples';
import { channelsOf, mixDown, type Sound } from './sound';
import type { SoundFileProblem } from './soundFileProblem';

/** Format tags of the RIFF WAVE `fmt ` chunk. */
const formatTag = { pcm: 1, float: 3, aLaw: 6, muLaw: 7, extensible: 0xfffe } as const;
/** Lengths that programs write which do not know how much will follow. */
const unknownLengths: readonly number[] = [0xffff_ffff, 0x7fff_ffff, 0x7fff_f000];
const headBytes = 44;

/** A WAV file of 16-bit PCM, one channel. */
export function writeWav({ samples, rateHz }: Pcm): Uint8Array {
  const data = new Uint8Array(samples.length * 2);
  const view = new DataView(data.buffer);
  for (let index = 0; index < samples.length; index += 1) {
    view.setInt16(index * 2, toInt16(samples[index] as number), true);
  }
  return wavFile(formatTag.pcm, 16, rateHz, data);
}

/** A WAV file of G.711, one channel: what the telephone carries. */
export function writeG711Wav({ samples, rateHz }: Pcm, law: G711Law): Uint8Array {
  return wavFile(law === 'mu' ? formatTag.muLaw : formatTag.aLaw, 8, rateHz, encodeG711(samples, law));
}

export const writeMuLawWav = (pcm: Pcm): Uint8Array => writeG711Wav(pcm, 'mu');

function wavFile(tag: number, bits: number, rateHz: number, data: Uint8Array): Uint8Array {
  const padded = data.length + (data.length % 2);
  const file = new Uint8Array(headBytes + padded);
  const view = new DataView(file.buffer);
  putText(file, 0, 'RIFF');
  view.setUint32(4, headBytes - 8 + padded, true);
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
  file.set(data, headBytes);
  return file;
}

/** Reads a WAV file and mixes its channels to one; one that was cut off is read as far as it goes. */
export function readWav(file: Uint8Array): Result<Pcm, SoundFileProblem> {
  const sound = readWavSound(file, { wholeOnly: false });
  return sound.ok ? right(mixDown(sound.value)) : sound;
}

/**
 * Reads a WAV file: PCM of 8 to 32 bits, float, or G.711, also as WAVE_FORMAT_EXTENSIBLE; chunks of other kinds are
 * passed over. `wholeOnly` refuses a file that is shorter than it says.
 */
export function readWavSound(file: Uint8Array, { wholeOnly }: { wholeOnly: boolean }): Result<Sound, SoundFileProblem> {
  const isRiff = file.length >= 12 && ['RIFF', 'RF64'].includes(textAt(file, 0)) && textAt(file, 8) === 'WAVE';
  if (!isRiff) return wrong({ type: 'notAudio' });
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  const format = findChunk(file, view, 'fmt ');
  const data = wholeData(file, view, findChunk(file, view, 'data'));
  if (!format || format.present < 16) return wrong({ type: 'cutOff' });
  const [channels, rateHz] = [view.getUint16(format.at + 2, true), view.getUint32(format.at + 4, true)];
  const coding = codingOf(view, format);
  if (!coding) return wrong({ type: 'unknownCoding', format: 'WAV' });
  if (channels < 1 || channels > 32 || rateHz < 1000 || rateHz > 768_000) return wrong({ type: 'broken' });
  if (!data) return wrong({ type: wholeOnly ? 'cutOff' : 'noSound' });
  const isUnknown = unknownLengths.includes(data.stated);
  if (wholeOnly && !isUnknown && data.stated > data.present) return wrong({ type: 'cutOff' });
  const length = isUnknown ? file.length - data.at : data.present;
  const frame = bytesPerSample(coding) * channels;
  const bytes = file.subarray(data.at, data.at + length - (length % frame));
  if (bytes.length === 0) return wrong({ type: 'noSound' });
  return right({ channels: channelsOf(readSamples(bytes, coding, true), channels), rateHz });
}

/** In an RF64 file (EBU Tech 3306) the length of the sound stands in 64 bits in a chunk of its own. */
function wholeData(file: Uint8Array, view: DataView, data: Chunk | undefined): Chunk | undefined {
  if (!data || textAt(file, 0) !== 'RF64' || data.stated !== 0xffff_ffff) return data;
  const sizes = findChunk(file, view, 'ds64');
  if (!sizes || sizes.present < 16) return data;
  const stated = view.getUint32(sizes.at + 8, true) + view.getUint32(sizes.at + 12, true) * 2 ** 32;
  return { at: data.at, stated, present: Math.min(stated, file.length - data.at) };
}

function codingOf(view: DataView, format: Chunk): Coding | undefined {
  const stated = view.getUint16(format.at, true);
  const bits = view.getUint16(format.at + 14, true);
  // The real tag of an extensible format is the beginning of its sub-format's GUID.
  const tag = stated === formatTag.extensible && format.present >= 26 ? view.getUint16(format.at + 24, true) : stated;
  if (tag === formatTag.pcm && (bits === 8 || bits === 16 || bits === 24 || bits === 32)) {
    return { type: 'whole', bits, offset8: true };
  }
  if (tag === formatTag.float && (bits === 32 || bits === 64)) return { type: 'float', bits };
  if ((tag === formatTag.muLaw || tag === formatTag.aLaw) && bits === 8) {
    return { type: 'g711', law: tag === formatTag.muLaw ? 'mu' : 'a' };
  }
  return undefined;
}

interface Chunk {
  /** Where its content begins. */
  readonly at: number;
  /** Its length as the file says, in bytes. */
  readonly stated: number;
  /** How much of that is there. */
  readonly present: number;
}

function findChunk(file: Uint8Array, view: DataView, name: string): Chunk | undefined {
  let at = 12;
  while (at + 8 <= file.length) {
    const stated = view.getUint32(at + 4, true);
    const present = Math.min(stated, file.length - at - 8);
    if (textAt(file, at) === name) return { at: at + 8, stated, present };
    at += 8 + present + (present % 2);
  }
  return undefined;
}

export function textAt(file: Uint8Array, at: number, length = 4): string {
  return String.fromCharCode(...file.subarray(at, at + length));
}

export function putText(file: Uint8Array, at: number, text: string): void {
  for (let index = 0; index < text.length; index += 1) file[at + index] = text.charCodeAt(index);
}
