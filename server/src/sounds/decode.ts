import {
  decodeG711,
  lookAtFile,
  lookOutside,
  longestSoundMs,
  mixDown,
  readAiffSound,
  readAuSound,
  readWavSound,
  type G711Law,
  type Pcm,
  type SoundFileProblem,
} from '@locutor/core/audio';
import { right, wrong, type Result } from '@locutor/core/result';
import { decodePieces, type CompressedKind } from './decoders';

const bareRateHz = 8000;
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
  switch (look.kind) {
    case 'wav':
    case 'au':
    case 'aiff': {
      const sound = readers[look.kind](file);
      return sound.ok ? inLimits(mixDown(sound.value)) : sound;
    }
    case 'm4a':
    case 'aac':
      return wrong({ type: 'browserOnly' });
    default:
      return decodeCompressed(file, look.kind);
  }
}

const readers = {
  wav: (file: Uint8Array) => readWavSound(file, { wholeOnly: true }),
  au: (file: Uint8Array) => readAuSound(file, { wholeOnly: true }),
  aiff: readAiffSound,
} as const;

async function decodeCompressed(file: Uint8Array, kind: CompressedKind): Promise<Result<Pcm, SoundFileProblem>> {
  const { isCutOff, isEncrypted, statedMs } = lookOutside(file, kind);
  if (isEncrypted) return wrong({ type: 'encrypted' });
  if (isCutOff) return wrong({ type: 'cutOff' });
  const tooLong = wrong({ type: 'tooLong', mostMs: longestSoundMs } as const);
  if (statedMs !== null && statedMs > longestSoundMs + slackMs) return tooLong;
  let sound: Pcm | 'tooLong';
  try {
    sound = await decodeWhole(file, kind);
  } catch {
    return wrong({ type: 'broken' });
  }
  if (sound === 'tooLong') return tooLong;
  const ms = (sound.samples.length / sound.rateHz) * 1000;
  if (kind === 'flac' && statedMs !== null && ms < statedMs - slackMs) return wrong({ type: 'cutOff' });
  return inLimits(sound);
}

async function decodeWhole(file: Uint8Array, kind: CompressedKind): Promise<Pcm | 'tooLong'> {
  const pieces: Float32Array[] = [];
  let [length, rateHz] = [0, 0];
  for await (const { channels, rateHz: pieceHz } of decodePieces(file, kind)) {
    rateHz = pieceHz;
    const { samples } = mixDown({ channels, rateHz });
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

function inLimits(pcm: Pcm): Result<Pcm, SoundFileProblem> {
  if (pcm.samples.length === 0) return wrong({ type: 'noSound' });
  const ms = (pcm.samples.length / pcm.rateHz) * 1000;
  return ms > longestSoundMs + slackMs ? wrong({ type: 'tooLong', mostMs: longestSoundMs }) : right(pcm);
}
