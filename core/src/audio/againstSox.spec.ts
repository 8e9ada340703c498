import { spawnSync } from 'node:child_process';
import { decodeALawSample, decodeMuLawSample, encodeG711, levelDb, readAuSound, readWavSound, resample } from '.';
import { writeAu, writeG711Wav, writeWav, type Pcm } from '.';
import { middle, sine, toneDb } from '../testing/tones';

/** Runs the reference program on bytes from its input to its output; dithering is off, so that codes are exact. */
function sox(input: Uint8Array, ...args: string[]): Uint8Array {
  const { stdout, status, stderr } = spawnSync('sox', ['-V1', '-D', ...args], { input, maxBuffer: 2 ** 28 });
  if (status !== 0) throw new Error(`sox ${args.join(' ')}: ${String(stderr)}`);
  return new Uint8Array(stdout);
}

const raw = (type: string): string[] => ['-t', type, '-r', '8000', '-c', '1', '-'];
const codes = Uint8Array.from({ length: 256 }, (_, code) => code);
const everySample = Int16Array.from({ length: 65_536 }, (_, index) => index - 32_768);
const asBytes = (samples: Int16Array): Uint8Array => new Uint8Array(samples.buffer);
const asFloats = (samples: Int16Array): Float32Array => Float32Array.from(samples, (sample) => sample / 32_768);
const int16 = (bytes: Uint8Array): number[] => [...new Int16Array(bytes.slice().buffer)];

describe('G.711 beside sox', () => {
  it.each([
    ['mu', 'ul', decodeMuLawSample],
    ['a', 'al', decodeALawSample],
  ] as const)('%s-law has the same sample for every code and the same code for every sample', (law, type, decode) => {
    expect([...codes].map(decode)).toEqual(int16(sox(codes, ...raw(type), ...raw('s16'))));
    const theirs = sox(asBytes(everySample), ...raw('s16'), ...raw(type));
    expect(Buffer.from(encodeG711(asFloats(everySample), law)).equals(Buffer.from(theirs))).toBe(true);
  });

  it.each(['mu', 'a'] as const)('codes a sweep by %s-law bit for bit', (law) => {
    const sweep = Int16Array.from({ length: 24_000 }, (_, at) =>
      Math.round(30_000 * Math.sin(at * at * 3.4e-5) * (at / 24_000)),
    );
    const theirs = sox(asBytes(sweep), ...raw('s16'), ...raw(law === 'mu' ? 'ul' : 'al'));
    expect(Buffer.from(encodeG711(asFloats(sweep), law)).equals(Buffer.from(theirs))).toBe(true);
  });

  it.each(['mu', 'a'] as const)('writes WAV and AU files of %s-law that it reads as the same samples', (law) => {
    const tone = sine(440, 8000, 0.2);
    const wanted = int16(sox(encodeG711(tone.samples, law), ...raw(law === 'mu' ? 'ul' : 'al'), ...raw('s16')));
    expect(int16(sox(writeG711Wav(tone, law), '-t', 'wav', '-', ...raw('s16')))).toEqual(wanted);
    expect(int16(sox(writeAu(tone, law), '-t', 'au', '-', ...raw('s16')))).toEqual(wanted);
  });
});

describe('resampling beside sox', () => {
  const theirs = (pcm: Pcm): Pcm => {
    const bytes = sox(writeWav(pcm), '-t', 'wav', '-', '-t', 'f32', '-r', '8000', '-', 'rate', '-h');
    return { samples: new Float32Array(bytes.buffer), rateHz: 8000 };
  };

  it.each([16_000, 44_100, 48_000])('from %i Hz keeps a tone of 3.6 kHz within 0.5 dB, as sox does', (rateHz) => {
    const tone = sine(3600, rateHz);
    const ours = toneDb(middle(resample(tone, 8000)), 3600);
    expect(Math.abs(ours - 20 * Math.log10(0.5))).toBeLessThan(0.5);
    expect(Math.abs(ours - toneDb(middle(theirs(tone)), 3600))).toBeLessThan(0.5);
  });

  it.each([16_000, 44_100, 48_000])('from %i Hz lets 60 dB less of a tone of 5 kHz through, as sox does', (rateHz) => {
    const tone = sine(5000, rateHz);
    expect(levelDb(middle(resample(tone, 8000))) - levelDb(tone)).toBeLessThan(-60);
    expect(levelDb(middle(theirs(tone))) - levelDb(tone)).toBeLessThan(-60);
  });
});

describe('files that sox writes', () => {
  const tone = writeWav(sine(440, 44_100, 0.5));
  const made = (...args: string[]): Uint8Array => sox(tone, '-t', 'wav', '-', ...args, '-');

  it.each([
    ['8 bits', ['-b', '8']],
    ['16 bits', ['-b', '16']],
    ['24 bits', ['-b', '24']],
    ['32 bits', ['-b', '32', '-e', 'signed']],
    ['float', ['-b', '32', '-e', 'float']],
    ['double', ['-b', '64', '-e', 'float']],
    ['mu-law', ['-e', 'mu-law']],
    ['A-law', ['-e', 'a-law']],
    ['six channels', ['-c', '6']],
    ['192 kHz', ['-r', '192000']],
  ])('are read as WAV and as AU: %s', (_, options) => {
    for (const [type, read] of [
      ['wav', readWavSound],
      ['au', readAuSound],
    ] as const) {
      const sound = read(made('-t', type, ...options), { wholeOnly: true });
      if (!sound.ok) throw new Error(`${type}: ${JSON.stringify(sound.problems)}`);
      const { channels, rateHz } = sound.value;
      expect(channels).toHaveLength(options.includes('6') ? 6 : 1);
      expect((channels[0]?.length ?? 0) / rateHz).toBeCloseTo(0.5, 2);
      expect(toneDb({ samples: channels[0] as Float32Array, rateHz }, 440)).toBeCloseTo(20 * Math.log10(0.5), 0);
    }
  });
});
