import {
  centred,
  decodeG711,
  lookAtFile,
  lookOutside,
  lengthMs,
  longestAtMs,
  longestSoundMs,
  looksLikeG711,
  mixed,
  mixingOf,
  readAiffSound,
  readAuSound,
  readWavSound,
  type G711Law,
  type Mixing,
  type Pcm,
  type Sound,
  type SoundFileProblem,
} from '@locutor/core/audio';
import { right, wrong, type Result } from '@locutor/core/result';
import { decodePieces, type CompressedKind, type Piece } from './decoders';

const bareRateHz = 8000;
/** More than any recording of a voice has; each takes memory. */
const mostChannels = 8;
/** Decoders begin and end a little beside what a file says. */
const slackMs = 250;

/** A file as one channel at its own rate, and how it became one. */
export interface DecodedSound {
  readonly pcm: Pcm;
  readonly mixing: Mixing;
}

/** Reads a sound file of any kind; `law` is for bare G.711. */
export async function decodeSound(
  file: Uint8Array,
  name: string,
  law: G711Law | null,
): Promise<Result<DecodedSound, SoundFileProblem>> {
  if (file.length === 0) return wrong({ type: 'empty' });
  const look = lookAtFile(file, name);
  if (look.type === 'other') return wrong({ type: 'notAudio', ...(look.looksLike && { looksLike: look.looksLike }) });
  if (look.type === 'bareG711') {
    const meant = law ?? look.law;
    if (!looksLikeG711(file)) return wrong({ type: 'notAudio' });
    return meant ? inLimits({ channels: [decodeG711(file, meant)], rateHz: bareRateHz }) : wrong({ type: 'whichLaw' });
  }
  switch (look.kind) {
    case 'wav':
    case 'au':
    case 'aiff': {
      const sound = readers[look.kind](file);
      return sound.ok ? inLimits(sound.value) : sound;
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

async function decodeCompressed(
  file: Uint8Array,
  kind: CompressedKind,
): Promise<Result<DecodedSound, SoundFileProblem>> {
  const { isCutOff, isEncrypted, statedMs } = lookOutside(file, kind);
  if (isEncrypted) return wrong({ type: 'encrypted' });
  if (isCutOff) return wrong({ type: 'cutOff' });
  const tooLong = wrong({ type: 'tooLong', mostMs: longestSoundMs } as const);
  if (statedMs !== null && statedMs > longestSoundMs + slackMs) return tooLong;
  let sound: Result<DecodedSound, SoundFileProblem>;
  try {
    sound = await decodeWhole(file, kind);
  } catch {
    return wrong({ type: 'broken' });
  }
  if (!sound.ok) return sound;
  const { pcm, mixing } = sound.value;
  const ms = lengthMs(pcm);
  if (kind === 'flac' && statedMs !== null && ms < statedMs - slackMs) return wrong({ type: 'cutOff' });
  if (pcm.samples.length === 0) return wrong({ type: 'noSound' });
  return right({ pcm: centred(pcm), mixing });
}

/** How much of it tells how channels stand to each other. */
const heardFirstMs = 10_000;

async function decodeWhole(file: Uint8Array, kind: CompressedKind): Promise<Result<DecodedSound, SoundFileProblem>> {
  const first: Piece[] = [];
  const pieces: Float32Array[] = [];
  let [length, rateHz] = [0, bareRateHz];
  let mixing: Mixing | null = null;
  const take = (piece: Piece): void => {
    if (mixing) pieces.push(mixed(piece, mixing).samples);
    else first.push(piece);
  };
  const decide = (): Mixing => {
    mixing = mixingOf(joined(first));
    for (const piece of first.splice(0)) take(piece);
    return mixing;
  };
  for await (const piece of decodePieces(file, kind)) {
    if (piece.channels.length > mostChannels) throw new RangeError(`It has ${piece.channels.length} channels`);
    rateHz = piece.rateHz;
    length += piece.channels[0]?.length ?? 0;
    const mostMs = longestAtMs(rateHz);
    if ((length / rateHz) * 1000 > mostMs + slackMs) return wrong({ type: 'tooLong', mostMs });
    take(piece);
    if (!mixing && length / rateHz > heardFirstMs / 1000) decide();
  }
  const how = mixing ?? decide();
  return right({ pcm: { samples: joinedSamples(pieces), rateHz }, mixing: how });
}

function joined(pieces: readonly Piece[]): Sound {
  const [one] = pieces;
  const channels = (one?.channels ?? []).map((_, index) =>
    joinedSamples(pieces.map((piece) => piece.channels[index] ?? new Float32Array())),
  );
  return { channels, rateHz: one?.rateHz ?? bareRateHz };
}

function joinedSamples(pieces: readonly Float32Array[]): Float32Array {
  const samples = new Float32Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    samples.set(piece, at);
    at += piece.length;
  }
  return samples;
}

function inLimits(sound: Sound): Result<DecodedSound, SoundFileProblem> {
  const frames = sound.channels[0]?.length ?? 0;
  if (frames === 0) return wrong({ type: 'noSound' });
  const ms = (frames / sound.rateHz) * 1000;
  const mostMs = longestAtMs(sound.rateHz);
  if (ms > mostMs + slackMs) return wrong({ type: 'tooLong', mostMs });
  const mixing = mixingOf(sound);
  return right({ pcm: centred(mixed(sound, mixing)), mixing });
}
