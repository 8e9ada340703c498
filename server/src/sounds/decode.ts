import {
  centre,
  decodeG711,
  joinSamples,
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
  centre(pcm);
  return right({ pcm, mixing });
}

/** How much of it tells how channels stand to each other. */
const heardFirstMs = 10_000;

async function decodeWhole(file: Uint8Array, kind: CompressedKind): Promise<Result<DecodedSound, SoundFileProblem>> {
  const first: Piece[] = [];
  let whole = new Growing(bareRateHz);
  let mixing: Mixing | null = null;
  let frames = 0;
  const take = (piece: Piece): void => {
    if (mixing) whole.add(mixed(piece, mixing).samples);
    else first.push(piece);
  };
  const decide = (): Mixing => {
    mixing = mixingOf(joined(first));
    for (const piece of first.splice(0)) take(piece);
    return mixing;
  };
  for await (const piece of decodePieces(file, kind)) {
    const { channels, rateHz } = piece;
    if (channels.length > mostChannels) throw new RangeError(`It has ${channels.length} channels`);
    if (frames === 0) whole = new Growing(rateHz);
    frames += channels[0]?.length ?? 0;
    const mostMs = longestAtMs(rateHz);
    if ((frames / rateHz) * 1000 > mostMs + slackMs) return wrong({ type: 'tooLong', mostMs });
    take(piece);
    if (!mixing && frames / rateHz > heardFirstMs / 1000) decide();
  }
  const how = mixing ?? decide();
  return right({ pcm: whole.sound(), mixing: how });
}

/**
 * A sound that grows as it is decoded. Room for the longest there may be is asked for at once, of which the system gives what
 * is used: nothing is held twice, as it would be when pieces are joined.
 */
class Growing {
  private readonly samples: Float32Array;
  private length = 0;

  constructor(private readonly rateHz: number) {
    this.samples = new Float32Array(Math.ceil(((longestAtMs(rateHz) + slackMs) / 1000) * rateHz) + 1);
  }

  add(piece: Float32Array): void {
    this.samples.set(piece, this.length);
    this.length += piece.length;
  }

  sound(): Pcm {
    return { samples: this.samples.subarray(0, this.length), rateHz: this.rateHz };
  }
}

function joined(pieces: readonly Piece[]): Sound {
  const [one] = pieces;
  const channels = (one?.channels ?? []).map((_, index) =>
    joinSamples(pieces.map((piece) => piece.channels[index] ?? new Float32Array())),
  );
  return { channels, rateHz: one?.rateHz ?? bareRateHz };
}

function inLimits(sound: Sound): Result<DecodedSound, SoundFileProblem> {
  const frames = sound.channels[0]?.length ?? 0;
  if (frames === 0) return wrong({ type: 'noSound' });
  const ms = (frames / sound.rateHz) * 1000;
  const mostMs = longestAtMs(sound.rateHz);
  if (ms > mostMs + slackMs) return wrong({ type: 'tooLong', mostMs });
  const mixing = mixingOf(sound);
  const pcm = mixed(sound, mixing);
  centre(pcm);
  return right({ pcm, mixing });
}
