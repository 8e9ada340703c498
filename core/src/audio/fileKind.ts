import { textAt } from './wav';

/** The kinds of sound file that can be brought. */
export type SoundFileKind = 'wav' | 'au' | 'aiff' | 'mp3' | 'aac' | 'm4a' | 'ogg' | 'flac';

/** Ends of names under which bare G.711 goes, and the law where the name tells it. */
const bareG711: Readonly<Record<string, 'mu' | 'a' | null>> = {
  ul: 'mu',
  ulaw: 'mu',
  mulaw: 'mu',
  pcmu: 'mu',
  al: 'a',
  alaw: 'a',
  pcma: 'a',
  raw: null,
  g711: null,
  pcm: null,
};

export type FileLook =
  | { readonly type: 'sound'; readonly kind: SoundFileKind }
  /** No header at all; a law of null has to be asked for. */
  | { readonly type: 'bareG711'; readonly law: 'mu' | 'a' | null }
  | { readonly type: 'other'; readonly looksLike?: string };

/**
 * What a file is by its first bytes. Its name counts only for bare G.711, whose bytes can be anything, even what an
 * MPEG frame or a file of another kind begins with.
 */
export function lookAtFile(file: Uint8Array, name: string): FileLook {
  const kind = soundKindOf(file);
  const law = bareG711[/\.([^.]+)$/.exec(name.toLowerCase())?.[1] ?? ''];
  const isBare = law !== undefined && (kind === undefined || ((kind === 'mp3' || kind === 'aac') && !id3Length(file)));
  if (isBare) return { type: 'bareG711', law };
  if (kind) return { type: 'sound', kind };
  const looksLike = otherKinds.find(({ starts }) => starts.some((text) => startsWith(file, text)))?.is;
  return { type: 'other', ...(looksLike && { looksLike }) };
}

function soundKindOf(file: Uint8Array): SoundFileKind | undefined {
  if (file.length < 4) return undefined;
  const first = textAt(file, 0);
  if ((first === 'RIFF' || first === 'RF64') && textAt(file, 8) === 'WAVE') return 'wav';
  if (first === '.snd') return 'au';
  if (first === 'FORM' && /^AIF[FC]$/.test(textAt(file, 8))) return 'aiff';
  if (first === 'fLaC') return 'flac';
  if (first === 'OggS') return 'ogg';
  if (textAt(file, 4) === 'ftyp') return /^(heic|mif1|avif)/.test(textAt(file, 8)) ? undefined : 'm4a';
  return mpegKind(file.subarray(id3Length(file)));
}

/** An MPEG audio frame begins with eleven set bits; layer 0 in it is AAC in ADTS, layer III is MP3. */
function mpegKind(file: Uint8Array): SoundFileKind | undefined {
  const [one = 0, two = 0, three = 0] = file;
  if (one !== 0xff || (two & 0xe0) !== 0xe0) return undefined;
  const layer = (two >> 1) & 3;
  if (layer === 0) return (two & 0xf0) === 0xf0 ? 'aac' : undefined;
  const isFrame = (two & 0x18) !== 0x08 && three >> 4 !== 15 && ((three >> 2) & 3) !== 3;
  return isFrame ? 'mp3' : undefined;
}

/** The length of the ID3 tag (version 2) before the sound, in bytes. */
export function id3Length(file: Uint8Array): number {
  if (textAt(file, 0, 3) !== 'ID3' || file.length < 10) return 0;
  const size = [6, 7, 8, 9].reduce((sum, at) => (sum << 7) | ((file[at] ?? 0) & 0x7f), 0);
  return size + 10;
}

const otherKinds: readonly { readonly is: string; readonly starts: readonly string[] }[] = [
  { is: 'a PDF document', starts: ['%PDF'] },
  { is: 'a picture', starts: ['\x89PNG', '\xff\xd8\xff', 'GIF8', 'BM'] },
  { is: 'a zip archive or an office document', starts: ['PK\x03\x04', '7z\xbc\xaf', 'Rar!', '\x1f\x8b'] },
  { is: 'an encrypted file', starts: ['Salted__', '-----BEGIN PGP', 'age-encryption.org'] },
  { is: 'a video', starts: ['\x1a\x45\xdf\xa3', '\x00\x00\x01\xba'] },
  { is: 'a web page', starts: ['<!DOCTYPE', '<!doctype', '<html'] },
  { is: 'a program', starts: ['MZ', '\x7fELF', '#!'] },
];

function startsWith(file: Uint8Array, text: string): boolean {
  return textAt(file, 0, text.length) === text;
}

/** Enough bytes to tell noise from what was coded. */
const enoughBytes = 4096;

/**
 * Whether bytes without a header can be G.711: not text, in ASCII or UTF-16, and not noise such as an encrypted or compressed
 * file, in which every byte comes as often as any other.
 */
export function looksLikeG711(file: Uint8Array): boolean {
  const counts = new Uint32Array(256);
  for (const byte of file) counts[byte] = (counts[byte] as number) + 1;
  const isText = (byte: number): boolean => byte === 9 || byte === 10 || byte === 13 || (byte >= 0x20 && byte < 0x7f);
  const textual = counts.reduce((sum, count, byte) => sum + (isText(byte) ? count : 0), 0);
  const zeros = counts[0] as number;
  // In UTF-16 every other byte of Latin text is zero.
  if (textual > 0.95 * file.length || (zeros > 0.4 * file.length && textual > 0.4 * file.length)) return false;
  if (file.length < enoughBytes) return true;
  const entropy = counts.reduce((bits, count) => {
    const part = count / file.length;
    return part > 0 ? bits - part * Math.log2(part) : bits;
  }, 0);
  return entropy < 7.9;
}
