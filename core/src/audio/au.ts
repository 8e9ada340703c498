import { right, wrong, type Result } from '../result';
import { encodeG711, type G711Law } from './g711';
import type { Pcm } from './pcm';
import { bytesPerSample, readSamples, type Coding } from './samples';
import { channelsOf, type Sound } from './sound';
import type { SoundFileProblem } from './soundFileProblem';
import { putText, textAt } from './wav';

/** Encodings of an AU file's header, by their numbers. */
const codings: Readonly<Record<number, Coding>> = {
  1: { type: 'g711', law: 'mu' },
  2: { type: 'whole', bits: 8 },
  3: { type: 'whole', bits: 16 },
  4: { type: 'whole', bits: 24 },
  5: { type: 'whole', bits: 32 },
  6: { type: 'float', bits: 32 },
  7: { type: 'float', bits: 64 },
  27: { type: 'g711', law: 'a' },
};
const lawNumber: Readonly<Record<G711Law, number>> = { mu: 1, a: 27 };
const unknownLength = 0xffff_ffff;
/** The header, with the four bytes of remark that some readers insist on. */
const headBytes = 28;

/** An AU file of G.711, one channel. */
export function writeAu({ samples, rateHz }: Pcm, law: G711Law): Uint8Array {
  const file = new Uint8Array(headBytes + samples.length);
  const view = new DataView(file.buffer);
  putText(file, 0, '.snd');
  [headBytes, samples.length, lawNumber[law], rateHz, 1].forEach((value, index) =>
    view.setUint32(4 + index * 4, value),
  );
  file.set(encodeG711(samples, law), headBytes);
  return file;
}

/** Reads an AU file: PCM, float or G.711, big-endian. `wholeOnly` refuses one that is shorter than it says. */
export function readAuSound(file: Uint8Array, { wholeOnly }: { wholeOnly: boolean }): Result<Sound, SoundFileProblem> {
  if (file.length < 4 || textAt(file, 0) !== '.snd') return wrong({ type: 'notAudio' });
  if (file.length < 24) return wrong({ type: 'cutOff' });
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  const [at, stated, encoding, rateHz, channels] = [4, 8, 12, 16, 20].map((place) => view.getUint32(place)) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const coding = codings[encoding];
  if (!coding) return wrong({ type: 'unknownCoding', format: 'AU' });
  if (at < 24 || channels < 1 || channels > 32 || rateHz < 1000 || rateHz > 768_000) return wrong({ type: 'broken' });
  const present = Math.max(0, file.length - at);
  if (wholeOnly && stated !== unknownLength && stated > present) return wrong({ type: 'cutOff' });
  const length = Math.min(stated, present);
  const bytes = file.subarray(at, at + length - (length % (bytesPerSample(coding) * channels)));
  if (bytes.length === 0) return wrong({ type: 'noSound' });
  return right({ channels: channelsOf(readSamples(bytes, coding, false), channels), rateHz });
}
