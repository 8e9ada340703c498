import { right, wrong, type Result } from '../result';
import { bytesPerSample, readSamples, type Coding } from './samples';
import { channelsOf, type Sound } from './sound';
import type { SoundFileProblem } from './soundFileProblem';
import { textAt } from './wav';

interface AiffCoding {
  readonly coding: Coding;
  readonly isLittleEndian?: true;
}

/** The compression types of AIFF-C that are none, or G.711. */
const named: Readonly<Record<string, AiffCoding>> = {
  sowt: { coding: { type: 'whole', bits: 16 }, isLittleEndian: true },
  in24: { coding: { type: 'whole', bits: 24 } },
  in32: { coding: { type: 'whole', bits: 32 } },
  fl32: { coding: { type: 'float', bits: 32 } },
  FL32: { coding: { type: 'float', bits: 32 } },
  fl64: { coding: { type: 'float', bits: 64 } },
  FL64: { coding: { type: 'float', bits: 64 } },
  ulaw: { coding: { type: 'g711', law: 'mu' } },
  ULAW: { coding: { type: 'g711', law: 'mu' } },
  alaw: { coding: { type: 'g711', law: 'a' } },
  ALAW: { coding: { type: 'g711', law: 'a' } },
};
const plainNames = ['NONE', 'twos'];

/** Reads an AIFF or AIFF-C file: PCM of 8 to 32 bits, float, or G.711. */
export function readAiffSound(file: Uint8Array): Result<Sound, SoundFileProblem> {
  const isAiff = textAt(file, 0) === 'FORM' && /^AIF[FC]$/.test(textAt(file, 8));
  if (!isAiff) return wrong({ type: 'notAudio' });
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  const common = chunkAt(file, view, 'COMM');
  const sound = chunkAt(file, view, 'SSND');
  if (!common || common.length < 18 || !sound || sound.length < 8) return wrong({ type: 'cutOff' });
  const channels = view.getUint16(common.at);
  const frames = view.getUint32(common.at + 2);
  const bits = view.getUint16(common.at + 6);
  // Some old files have a rate with a fraction, which nobody hears.
  const rateHz = Math.round(extended(view, common.at + 8));
  const found = codingOf(textAt(file, 8) === 'AIFC' ? textAt(file, common.at + 18) : 'NONE', bits);
  if (!found) return wrong({ type: 'unknownCoding', format: 'AIFF' });
  if (channels < 1 || channels > 32 || !(rateHz >= 1000 && rateHz <= 768_000)) return wrong({ type: 'broken' });
  const { coding, isLittleEndian = false } = found;
  const from = sound.at + 8 + view.getUint32(sound.at);
  const bytes = frames * channels * bytesPerSample(coding);
  if (from + bytes > file.length) return wrong({ type: 'cutOff' });
  if (bytes === 0) return wrong({ type: 'noSound' });
  const samples = readSamples(file.subarray(from, from + bytes), coding, isLittleEndian);
  return right({ channels: channelsOf(samples, channels), rateHz });
}

function codingOf(name: string, bits: number): AiffCoding | undefined {
  if (!plainNames.includes(name)) return named[name];
  // Samples of other sizes stand in whole bytes, at their upper end.
  const whole = Math.ceil(bits / 8) * 8;
  return whole === 8 || whole === 16 || whole === 24 || whole === 32
    ? { coding: { type: 'whole', bits: whole } }
    : undefined;
}

function chunkAt(
  file: Uint8Array,
  view: DataView,
  name: string,
): { readonly at: number; readonly length: number } | undefined {
  for (let at = 12; at + 8 <= file.length;) {
    const length = view.getUint32(at + 4);
    if (textAt(file, at) === name) return { at: at + 8, length: Math.min(length, file.length - at - 8) };
    at += 8 + length + (length % 2);
  }
  return undefined;
}

/** A number of 80 bits (IEEE 754 extended), as rates are written. */
function extended(view: DataView, at: number): number {
  const exponent = (view.getUint16(at) & 0x7fff) - 16_383;
  return view.getUint32(at + 2) * 2 ** (exponent - 31) + view.getUint32(at + 6) * 2 ** (exponent - 63);
}
