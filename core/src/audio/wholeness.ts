import { id3Length, type SoundFileKind } from './fileKind';
import { textAt } from './wav';

/** What the outside of a compressed file tells before it is decoded. */
export interface Outside {
  readonly isCutOff: boolean;
  readonly isEncrypted: boolean;
  /** How long it says it is, in ms; null where it does not say. */
  readonly statedMs: number | null;
}

const silent: Outside = { isCutOff: false, isEncrypted: false, statedMs: null };

/**
 * Whether a compressed file ends before it should, or is locked by rights management. Decoders pass over what is
 * missing; a greeting that stops in the middle of a word is worse than none.
 */
export function lookOutside(file: Uint8Array, kind: SoundFileKind): Outside {
  switch (kind) {
    case 'm4a':
      return lookAtBoxes(file);
    case 'ogg':
      return { ...silent, isCutOff: !endsOggStream(file) };
    case 'mp3':
      return { ...silent, isCutOff: !endsWithWholeFrame(file, mp3FrameLength) };
    case 'aac':
      return { ...silent, isCutOff: !endsWithWholeFrame(file, adtsFrameLength), statedMs: adtsMs(file) };
    case 'aiff':
      return { ...silent, isCutOff: uint32(file, 4) + 8 > file.length };
    case 'flac':
      return { ...silent, statedMs: flacMs(file) };
    case 'wav':
    case 'au':
      return silent;
  }
}

/** ISO 14496-12: boxes one after the other; a sound entry named `enca` or Apple's `drms` is encrypted. */
function lookAtBoxes(file: Uint8Array): Outside {
  let at = 0;
  let hasMovie = false;
  let hasData = false;
  let isEncrypted = false;
  let statedMs: number | null = null;
  while (at + 8 <= file.length) {
    const name = textAt(file, at + 4);
    const size = boxSize(file, at);
    if (size < 8) break;
    if (at + size > file.length) return { isCutOff: true, isEncrypted, statedMs };
    if (name === 'moov') {
      hasMovie = true;
      isEncrypted = hasEncryptedEntry(file.subarray(at, at + size));
      statedMs = movieMs(file.subarray(at, at + size));
    }
    if (name === 'mdat') hasData = true;
    at += size;
  }
  return { isCutOff: !hasMovie || !hasData, isEncrypted, statedMs };
}

function boxSize(file: Uint8Array, at: number): number {
  const size = uint32(file, at);
  if (size === 0) return file.length - at;
  return size === 1 ? uint32(file, at + 8) * 2 ** 32 + uint32(file, at + 12) : size;
}

/** The movie header's time scale and length; its version 1 has longer fields. */
function movieMs(movie: Uint8Array): number | null {
  const at = placeOf(movie, 'mvhd');
  if (at < 0) return null;
  const isLong = movie[at + 4] === 1;
  const scale = uint32(movie, at + (isLong ? 24 : 16));
  const length = isLong ? uint32(movie, at + 28) * 2 ** 32 + uint32(movie, at + 32) : uint32(movie, at + 20);
  return scale > 0 ? (length / scale) * 1000 : null;
}

/** The entry of a track's sound stands in its `stsd` box after a version and a count. */
function hasEncryptedEntry(movie: Uint8Array): boolean {
  const at = placeOf(movie, 'stsd');
  return at >= 0 && ['enca', 'drms'].includes(textAt(movie, at + 16));
}

function placeOf(bytes: Uint8Array, name: string): number {
  for (let at = 4; at + 16 < bytes.length; at += 1) {
    if (bytes[at] === name.charCodeAt(0) && textAt(bytes, at) === name) return at;
  }
  return -1;
}

/** The first block of a FLAC file (RFC 9639 section 8.2): rate in 20 bits, then, after eight, samples in 36. */
function flacMs(file: Uint8Array): number | null {
  const rate = uint32(file, 18) >>> 12;
  const samples = ((file[21] ?? 0) & 0x0f) * 2 ** 32 + uint32(file, 22);
  return rate > 0 && samples > 0 ? (samples / rate) * 1000 : null;
}

/** RFC 3533 section 6: the last page of a stream has the third bit of its header type set, and is all there. */
function endsOggStream(file: Uint8Array): boolean {
  let at = 0;
  let ended = false;
  while (at + 27 <= file.length && textAt(file, at) === 'OggS') {
    const count = file[at + 26] ?? 0;
    let size = 27 + count;
    for (let index = 0; index < count; index += 1) size += file[at + 27 + index] ?? 0;
    if (at + size > file.length) return false;
    ended = ((file[at + 5] ?? 0) & 4) !== 0;
    at += size;
  }
  return ended;
}

const bitratesOf1 = [0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320];
const bitratesOf2 = [0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160];
const adtsRatesHz = [
  96_000, 88_200, 64_000, 48_000, 44_100, 32_000, 24_000, 22_050, 16_000, 12_000, 11_025, 8000, 7350,
];
const ratesHz = [44_100, 48_000, 32_000];

/** Frames one after the other; tags may follow the last one. */
function endsWithWholeFrame(file: Uint8Array, lengthAt: (file: Uint8Array, at: number) => number | undefined): boolean {
  let at = id3Length(file);
  for (;;) {
    const length = lengthAt(file, at);
    if (length === undefined) return true;
    if (at + length > file.length) return false;
    at += length;
  }
}

/** ISO 13818-7: the length stands in 13 bits of the header. */
function adtsFrameLength(file: Uint8Array, at: number): number | undefined {
  const [one = 0, two = 0, , four = 0, five = 0, six = 0] = file.subarray(at, at + 6);
  if (one !== 0xff || (two & 0xf6) !== 0xf0) return undefined;
  const length = ((four & 3) << 11) | (five << 3) | (six >> 5);
  return length >= 7 ? length : undefined;
}

/** Each frame holds 1,024 samples, at one of the rates that the header numbers. */
function adtsMs(file: Uint8Array): number | null {
  const start = id3Length(file);
  const rateHz = adtsRatesHz[((file[start + 2] ?? 0) >> 2) & 15];
  if (!rateHz) return null;
  let frames = 0;
  for (let at = start; ; frames += 1) {
    const length = adtsFrameLength(file, at);
    if (length === undefined) break;
    at += length;
  }
  return ((frames * 1024) / rateHz) * 1000;
}

/** Layer III (ISO 11172-3): the length follows from bit rate and sampling rate. */
function mp3FrameLength(file: Uint8Array, at: number): number | undefined {
  const [one = 0, two = 0, three = 0] = file.subarray(at, at + 3);
  if (one !== 0xff || (two & 0xe6) !== 0xe2) return undefined;
  const version = (two >> 3) & 3;
  const rate = ratesHz[(three >> 2) & 3];
  const kbps = (version === 3 ? bitratesOf1 : bitratesOf2)[three >> 4];
  if (version === 1 || !rate || !kbps) return undefined;
  const halvings = version === 3 ? 1 : version === 2 ? 2 : 4;
  return Math.floor(((version === 3 ? 144 : 72) * kbps * 1000) / (rate / halvings)) + ((three >> 1) & 1);
}

function uint32(file: Uint8Array, at: number): number {
  const [one = 0, two = 0, three = 0, four = 0] = file.subarray(at, at + 4);
  return one * 2 ** 24 + two * 2 ** 16 + three * 256 + four;
}
