import {
  decodeG711,
  lookAtFile,
  lookOutside,
  longestSoundMs,
  mixDown,
  readAuSound,
  readWavSound,
  type G711Law,
  type Pcm,
  type SoundFileKind,
  type SoundFileProblem,
} from '@locutor/core/audio';
import { right, wrong, type Result } from '@locutor/core/result';

/** What of the package is used here: it decodes piece by piece, so that a small file cannot fill the memory. */
interface Piece {
  readonly channelData: readonly Float32Array[];
  readonly sampleRate: number;
}
type Decode = (source: AsyncIterable<Uint8Array>, format: string) => AsyncGenerator<Piece>;

const bareRateHz = 8000;
const pieceBytes = 32 * 1024;
/** Decoders begin and end a little beside what a file says. */
const slackMs = 250;

/** Reads a sound file of any kind as one channel at its own rate; `law` is for bare G.711. */
export async function decodeSound(
  file: Uint8Array,
  name: string,
  law: G711Law | null,
): Promise<Result<Pcm, SoundFileProblem>> {
  if (file.length === 0) return wrong({ type: 'empty' });
  const look = lookAtFile(file, name);
  if (look.type === 'other') return wrong({ type: 'notAudio', ...(look.looksLike && { looksLike: look.looksLike }) });
  if (look.type === 'bareG711') {
    const meant = law ?? look.law;
    return meant ? inLimits({ samples: decodeG711(file, meant), rateHz: bareRateHz }) : wrong({ type: 'whichLaw' });
  }
  if (look.kind === 'wav' || look.kind === 'au') {
    const read = look.kind === 'wav' ? readWavSound : readAuSound;
    const sound = read(file, { wholeOnly: true });
    return sound.ok ? inLimits(mixDown(sound.value)) : sound;
  }
  return decodeCompressed(file, look.kind);
}

async function decodeCompressed(file: Uint8Array, kind: SoundFileKind): Promise<Result<Pcm, SoundFileProblem>> {
  const { isCutOff, isEncrypted, statedMs } = lookOutside(file, kind);
  if (isEncrypted) return wrong({ type: 'encrypted' });
  if (isCutOff) return wrong({ type: 'cutOff' });
  if (statedMs !== null && statedMs > longestSoundMs + slackMs)
    return wrong({ type: 'tooLong', mostMs: longestSoundMs });
  let sound: Pcm | 'tooLong';
  try {
    sound = await decodePieces(file, formatOf(file, kind));
  } catch {
    return wrong({ type: 'broken' });
  }
  if (sound === 'tooLong') return wrong({ type: 'tooLong', mostMs: longestSoundMs });
  const ms = (sound.samples.length / sound.rateHz) * 1000;
  if (kind === 'flac' && statedMs !== null && ms < statedMs - slackMs) return wrong({ type: 'cutOff' });
  return inLimits(sound);
}

async function decodePieces(file: Uint8Array, format: string): Promise<Pcm | 'tooLong'> {
  const { default: decode } = (await import('audio-decode' as string)) as { default: Decode };
  const pieces: Float32Array[] = [];
  let [length, rateHz] = [0, 0];
  for await (const { channelData, sampleRate } of decode(inPieces(file), format)) {
    if (!channelData[0]?.length) continue;
    rateHz = sampleRate;
    const { samples } = mixDown({ channels: channelData, rateHz });
    pieces.push(samples);
    length += samples.length;
    if (length / rateHz > (longestSoundMs + slackMs) / 1000) return 'tooLong';
  }
  const samples = new Float32Array(length);
  let at = 0;
  for (const piece of pieces) {
    samples.set(piece, at);
    at += piece.length;
  }
  return { samples, rateHz: rateHz || bareRateHz };
}

async function* inPieces(file: Uint8Array): AsyncIterable<Uint8Array> {
  for (let at = 0; at < file.length; at += pieceBytes) yield file.subarray(at, at + pieceBytes);
}

/** Ogg holds Opus or Vorbis; its first page tells. */
function formatOf(file: Uint8Array, kind: SoundFileKind): string {
  if (kind !== 'ogg') return kind;
  return Buffer.from(file.subarray(0, 64)).includes('OpusHead') ? 'opus' : 'oga';
}

function inLimits(pcm: Pcm): Result<Pcm, SoundFileProblem> {
  if (pcm.samples.length === 0) return wrong({ type: 'noSound' });
  const ms = (pcm.samples.length / pcm.rateHz) * 1000;
  return ms > longestSoundMs + slackMs ? wrong({ type: 'tooLong', mostMs: longestSoundMs }) : right(pcm);
}
