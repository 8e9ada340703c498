import type { SoundFileKind } from '@locutor/core/audio';

/** Some sound, each channel for itself. */
export interface Piece {
  readonly channels: readonly Float32Array[];
  readonly rateHz: number;
}

/** What the packages have in common that decode: WebAssembly of the coders' own libraries, a piece of a file at a time. */
interface Decoder {
  readonly ready: Promise<void>;
  decode(bytes: Uint8Array): Decoded | Promise<Decoded>;
  flush?(): Decoded | Promise<Decoded>;
  free(): void;
}

interface Decoded {
  readonly channelData: readonly Float32Array[];
  readonly sampleRate: number;
  readonly errors: readonly { readonly message: string }[];
}

export type CompressedKind = Extract<SoundFileKind, 'mp3' | 'flac' | 'ogg'>;

/** So little of a file at a time that what it becomes has room, however well it is compressed. */
const pieceBytes: Readonly<Record<CompressedKind, number>> = { mp3: 16 * 1024, ogg: 8 * 1024, flac: 1024 };

/** @throws Error where the file is broken. */
export async function* decodePieces(file: Uint8Array, kind: CompressedKind): AsyncGenerator<Piece> {
  const decoder = await decoderFor(file, kind);
  await decoder.ready;
  try {
    for (let at = 0; at < file.length; at += pieceBytes[kind]) {
      yield* pieceOf(await decoder.decode(file.subarray(at, at + pieceBytes[kind])));
    }
    if (decoder.flush) yield* pieceOf(await decoder.flush());
  } finally {
    decoder.free();
  }
}

function* pieceOf({ channelData, sampleRate, errors }: Decoded): Generator<Piece> {
  const [error] = errors;
  if (error) throw new Error(error.message);
  if (channelData[0]?.length) yield { channels: channelData, rateHz: sampleRate };
}

/** Their modules are ES modules, which are loaded as they are needed. */
async function decoderFor(file: Uint8Array, kind: CompressedKind): Promise<Decoder> {
  switch (codingOf(file, kind)) {
    case 'mp3': {
      const { MPEGDecoder } = await import('mpg123-decoder');
      return new MPEGDecoder() as Decoder;
    }
    case 'flac': {
      const { FLACDecoder } = await import('@wasm-audio-decoders/flac');
      return new FLACDecoder() as Decoder;
    }
    case 'opus': {
      const { OggOpusDecoder } = await import('ogg-opus-decoder');
      return new OggOpusDecoder() as Decoder;
    }
    case 'vorbis': {
      const { OggVorbisDecoder } = await import('@wasm-audio-decoders/ogg-vorbis');
      return new OggVorbisDecoder() as Decoder;
    }
  }
}

/** The first page of an Ogg stream tells what is in it (RFC 3533). */
function codingOf(file: Uint8Array, kind: CompressedKind): 'mp3' | 'flac' | 'opus' | 'vorbis' {
  if (kind !== 'ogg') return kind;
  const head = Buffer.from(file.subarray(0, 64)).toString('latin1');
  if (head.includes('OpusHead')) return 'opus';
  return head.includes('\x7fFLAC') ? 'flac' : 'vorbis';
}
