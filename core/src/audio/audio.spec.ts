import fc from 'fast-check';
import {
  beep,
  busyTone,
  decodeMuLaw,
  decodeMuLawSample,
  dtmfHz,
  dtmfTone,
  encodeMuLaw,
  encodeMuLawSample,
  joinPcm,
  lengthMs,
  levelDb,
  peakOf,
  readWav,
  readWavSound,
  resample,
  ringbackTone,
  trimEnds,
  writeMuLawWav,
  writeWav,
  type Pcm,
} from '.';
import { middle, sine, toneDb } from '../testing/tones';

describe('G.711 mu-law', () => {
  it('knows the codes of the standard for silence and for both ends', () => {
    expect(encodeMuLawSample(0)).toBe(0xff);
    expect(encodeMuLawSample(32767)).toBe(0x80);
    expect(encodeMuLawSample(-32768)).toBe(0x00);
    expect(decodeMuLawSample(0x80)).toBe(32124);
    expect(decodeMuLawSample(0x00)).toBe(-32124);
    expect(decodeMuLawSample(0xff)).toBe(0);
  });

  it('gives every code back that it decoded, but for the second zero', () => {
    for (let code = 0; code < 256; code += 1) {
      expect(encodeMuLawSample(decodeMuLawSample(code))).toBe(code === 0x7f ? 0xff : code);
    }
  });

  it('keeps speech-like sound within the noise the standard allows', () => {
    const tone = sine(1000, 8000);
    const back = decodeMuLaw(encodeMuLaw(tone.samples));
    const noise = back.map((sample, index) => sample - (tone.samples[index] ?? 0));
    expect(levelDb(tone) - levelDb({ samples: noise, rateHz: 8000 })).toBeGreaterThan(33);
  });
});

describe('resampling', () => {
  it.each([16_000, 22_050, 44_100, 48_000])('from %i Hz keeps a low tone and its length', (rateHz) => {
    const down = resample(sine(1000, rateHz), 8000);
    expect(down.samples.length).toBe(8000);
    expect(Math.abs(toneDb(middle(down), 1000) - 20 * Math.log10(0.5))).toBeLessThan(0.1);
  });

  it('lets nothing above the new limit fold back', () => {
    const down = middle(resample(sine(5000, 48_000), 8000));
    expect(levelDb(down)).toBeLessThan(-65);
  });

  it.each([44_101, 47_999, 96_001, 767_999])('from %i Hz, which goes together with nothing, is as clean', (rateHz) => {
    const down = middle(resample(sine(1000, rateHz, 0.5), 8000));
    expect(Math.abs(toneDb(down, 1000) - 20 * Math.log10(0.5))).toBeLessThan(0.1);
    expect(levelDb(middle(resample(sine(5000, rateHz, 0.25), 8000)))).toBeLessThan(-55);
  });

  it('leaves sound of the same rate alone, and goes up as well as down', () => {
    const tone = sine(440, 8000);
    expect(resample(tone, 8000)).toBe(tone);
    expect(Math.abs(toneDb(middle(resample(tone, 48_000)), 440) - 20 * Math.log10(0.5))).toBeLessThan(0.1);
  });
});

describe('resampling from high rates', () => {
  it.each([48_000, 96_000, 192_000, 768_000])('leaves nothing above 4.4 kHz of %d Hz on the telephone', (rateHz) => {
    for (const hz of [4400, 5000, 6500, 7700, 9000, 11_900, 15_500, 19_000, 23_500]) {
      const phone = resample(sine(hz, rateHz, 0.25), 8000);
      expect(20 * Math.log10(Math.max(1e-9, peakOf(middle(phone)) / 0.5))).toBeLessThan(-60);
    }
    const kept = resample(sine(1000, rateHz, 0.25), 8000);
    expect(peakOf(middle(kept)) / 0.5).toBeGreaterThan(0.98);
  });
});

describe('WAV', () => {
  it('gives back what was written: to 16 bits as PCM, to its codes as mu-law', () => {
    const tone = sine(300, 8000, 0.1);
    const pcm = readWav(writeWav(tone));
    const muLaw = readWav(writeMuLawWav(tone));
    if (!pcm.ok || !muLaw.ok) throw new Error('not read');
    expect(pcm.value.rateHz).toBe(8000);
    pcm.value.samples.forEach((sample, index) => expect(sample).toBeCloseTo(tone.samples[index] ?? 0, 4));
    expect(encodeMuLaw(muLaw.value.samples)).toEqual(encodeMuLaw(tone.samples));
  });

  it('mixes two channels and skips chunks it does not know', () => {
    const stereo = writeWav({ samples: Float32Array.from([0.5, -0.5, 0.25, 0.25]), rateHz: 8000 });
    new DataView(stereo.buffer).setUint16(22, 2, true);
    const chunk = Uint8Array.from([0x4c, 0x49, 0x53, 0x54, 3, 0, 0, 0, 1, 2, 3, 0]);
    const file = Uint8Array.from([...stereo.slice(0, 12), ...chunk, ...stereo.slice(12)]);
    const read = readWav(file);
    expect(read.ok && [...read.value.samples]).toEqual([0, 0.25]);
  });

  it('reads a file that was cut off as far as it goes', () => {
    const read = readWav(writeWav(sine(300, 8000, 0.1)).slice(0, 444));
    expect(read.ok && read.value.samples.length).toBe(200);
  });

  it('refuses what is not WAV, has no sound or is coded otherwise', () => {
    const file = writeWav(sine(300, 8000, 0.1));
    expect(readWav(new Uint8Array(3))).toMatchObject({ problems: [{ type: 'notAudio' }] });
    expect(readWav(new TextEncoder().encode('RIFF....WAVE'))).toMatchObject({ problems: [{ type: 'cutOff' }] });
    expect(readWav(writeWav({ samples: new Float32Array(0), rateHz: 8000 }))).toMatchObject({
      problems: [{ type: 'noSound' }],
    });
    new DataView(file.buffer).setUint16(20, 85, true);
    expect(readWav(file)).toMatchObject({ problems: [{ type: 'unknownCoding' }] });
  });

  it('never throws, whatever the bytes', () => {
    const head = [...writeWav(sine(300, 8000, 0.01))].slice(0, 60);
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 80 }), fc.integer({ min: 0, max: 60 }), (bytes, kept) => {
        expect(typeof readWav(Uint8Array.from([...head.slice(0, kept), ...bytes])).ok).toBe('boolean');
      }),
    );
  });
});

describe('RF64', () => {
  /** A file whose lengths stand in a chunk of their own, with a chunk after the sound. */
  const rf64 = (statedBytes: number): Uint8Array => {
    const wav = writeWav(sine(440, 8000, 0.5));
    const data = wav.subarray(44);
    const sizes = new DataView(new ArrayBuffer(36));
    'ds64'.split('').forEach((letter, at) => sizes.setUint8(at, letter.charCodeAt(0)));
    sizes.setUint32(4, 28, true);
    sizes.setUint32(16, statedBytes, true);
    const head = wav.slice(0, 44);
    head.set([...'RF64'].map((letter) => letter.charCodeAt(0)));
    new DataView(head.buffer).setUint32(40, 0xffff_ffff, true);
    const tail = new Uint8Array(1008).fill(0x55);
    tail.set([...'LIST'].map((letter) => letter.charCodeAt(0)));
    new DataView(tail.buffer).setUint32(4, 1000, true);
    return Uint8Array.from([
      ...head.subarray(0, 12),
      ...new Uint8Array(sizes.buffer),
      ...head.subarray(12),
      ...data,
      ...tail,
    ]);
  };

  it('has its length from there: what follows the sound is none of it', () => {
    const read = readWavSound(rf64(8000), { wholeOnly: true });
    expect(read.ok && read.value.channels[0]?.length).toBe(4000);
  });

  it('that was cut off is refused', () => {
    expect(readWavSound(rf64(9_000_000), { wholeOnly: true })).toMatchObject({ problems: [{ type: 'cutOff' }] });
  });
});

describe('levels and edges', () => {
  it('trims silence at both ends, leaving a margin', () => {
    const gap = { samples: new Float32Array(8000), rateHz: 8000 };
    const { pcm, startMs, endMs } = trimEnds(joinPcm([gap, sine(300, 8000, 0.5), gap], 8000));
    expect(lengthMs(pcm)).toBeGreaterThan(600);
    expect(lengthMs(pcm)).toBeLessThan(740);
    expect(startMs + lengthMs(pcm) + endMs).toBe(2500);
    expect(trimEnds(gap).pcm).toBe(gap);
  });

  it('joins only what has one rate', () => {
    expect(() => joinPcm([sine(300, 8000), sine(300, 16_000)], 8000)).toThrow('8000');
  });
});

describe('tones', () => {
  it.each([
    ['1', 697, 1209],
    ['5', 770, 1336],
    ['0', 941, 1336],
    ['#', 941, 1477],
  ] as const)('key %s sounds at %i and %i Hz', (key, low, high) => {
    expect(dtmfHz(key)).toEqual([low, high]);
    const tone = dtmfTone(key, 500, 8000);
    expect(toneDb(tone, low)).toBeGreaterThan(-15);
    expect(toneDb(tone, high)).toBeGreaterThan(-15);
    expect(toneDb(tone, 600)).toBeLessThan(-35);
  });

  it('a ring is as in the line’s country, or as most have it; the beep is short', () => {
    const loud = (country: string | undefined, fromMs: number, toMs: number) =>
      peakOf({ samples: ringbackTone(8000, country).samples.slice(fromMs * 8, toMs * 8), rateHz: 8000 }) > 0;
    expect(lengthMs(ringbackTone(8000, 'US'))).toBe(6000);
    expect([loud('US', 0, 2000), loud('US', 2000, 6000)]).toEqual([true, false]);
    expect(lengthMs(ringbackTone(8000, 'GB'))).toBe(3000);
    expect([loud('GB', 400, 600), loud('GB', 600, 1000), loud('GB', 1000, 3000)]).toEqual([false, true, false]);
    for (const country of [undefined, 'DE', 'XX']) expect(lengthMs(ringbackTone(8000, country))).toBe(5000);
    const german = { samples: ringbackTone(8000, 'DE').samples.slice(0, 8000), rateHz: 8000 };
    expect(toneDb(german, 425)).toBeGreaterThan(-25);
    expect(toneDb(german, 480)).toBeLessThan(-35);
    expect(levelDb(german)).toBeGreaterThan(-30);
    expect(lengthMs(beep(8000))).toBe(400);
  });

  it('busy is as in the line’s country, or as many have it', () => {
    const lengths = ['US', 'GB', 'IN', 'ES', 'DE', undefined, 'XX'].map((country) => lengthMs(busyTone(8000, country)));
    expect(lengths).toEqual([1000, 750, 1500, 400, 960, 1000, 1000]);
    const isHeard = (pcm: Pcm, fromMs: number): boolean =>
      peakOf({ samples: pcm.samples.slice(fromMs * 8, (fromMs + 100) * 8), rateHz: 8000 }) > 0;
    expect([isHeard(busyTone(8000, 'GB'), 100), isHeard(busyTone(8000, 'GB'), 500)]).toEqual([true, false]);
  });
});
