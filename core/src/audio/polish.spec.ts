import {
  applyCutting,
  asOnPhone,
  integratedLufs,
  joinPcm,
  lengthMs,
  levelDb,
  lineLoudness,
  measure,
  peakOf,
  polish,
  soundFaults,
  truePeakDb,
  waveformOf,
  wholeRecipe,
  withGain,
  type NoiseReducer,
  type Pcm,
  type PolishStage,
} from '.';
import { babble, middle, mixed, noise, silence, sine, toneDb } from '../testing/tones';

const asItCame = { ...wholeRecipe, lessNoise: false, trim: false, sameLoudness: false, fades: false };
const lufsOf = ({ samples, rateHz }: Pcm): number => integratedLufs([samples], rateHz);
const voice = babble(16_000, 3);
const recording = joinPcm([silence(16_000, 1.5), voice, silence(16_000, 2)], 16_000);

describe('making a recording good', () => {
  it.each([-30, -10, 6])('brings one at %i dB to the loudness of the line', (gainDb) => {
    const { pcm, after } = polish(withGain(recording, gainDb), wholeRecipe);
    expect(pcm.rateHz).toBe(8000);
    expect(Math.abs(lufsOf(pcm) - lineLoudness.lufs)).toBeLessThan(0.5);
    expect(truePeakDb(pcm)).toBeLessThan(lineLoudness.truePeakDb + 0.3);
    expect(after.lufs).toBeCloseTo(lufsOf(pcm), 5);
  });

  it('takes the silence at both ends away and says how much; a click does not keep it', () => {
    const clicked = { ...recording, samples: recording.samples.map((sample, at) => (at === 8000 ? 0.8 : sample)) };
    for (const each of [recording, clicked]) {
      const { pcm, trimmedMs } = polish(each, wholeRecipe);
      expect(trimmedMs[0]).toBeGreaterThan(1400);
      expect(trimmedMs[1]).toBeGreaterThan(1700);
      expect(lengthMs(pcm)).toBeGreaterThan(lengthMs(voice) - 200);
    }
  });

  it('leaves out what is turned off', () => {
    const { pcm, trimmedMs, gainDb, noiseTaken } = polish(recording, asItCame);
    expect(lengthMs(pcm)).toBe(lengthMs(recording));
    expect([trimmedMs, gainDb, noiseTaken]).toEqual([[0, 0], 0, false]);
    expect(toneDb(pcm, 720)).toBeCloseTo(toneDb(recording, 720), 0);
  });

  it('takes noise away only where there is some, and only where that helps', () => {
    const noisy = mixed(recording, noise(16_000, 8, 0.03));
    const halve: NoiseReducer = {
      rateHz: 16_000,
      *reduce(blocks) {
        for (const samples of blocks) yield withGain({ samples, rateHz: 16_000 }, -20).samples;
      },
    };
    const quieter = mixed(recording, noise(16_000, 8, 0.003)).samples;
    const reduce: NoiseReducer = {
      rateHz: 16_000,
      *reduce(blocks) {
        let at = 0;
        for (const { length } of blocks) yield quieter.slice(at, (at += length));
      },
    };
    expect(polish(recording, wholeRecipe, reduce).noiseTaken).toBe(false);
    expect(polish(noisy, wholeRecipe, reduce).noiseTaken).toBe(true);
    expect(polish(noisy, { ...wholeRecipe, lessNoise: false }, reduce).noiseTaken).toBe(false);
    // The speech became quieter with the noise.
    expect(polish(noisy, wholeRecipe, halve).noiseTaken).toBe(false);
  });

  it('tells what it is doing, and takes silence and next to nothing as they are', () => {
    const stages: PolishStage[] = [];
    polish(recording, wholeRecipe, null, (stage) => stages.push(stage));
    expect(stages).toEqual(['resampling', 'measuring', 'cutting', 'loudness']);
    expect(polish(silence(16_000, 1), wholeRecipe).gainDb).toBe(0);
    expect(polish({ samples: new Float32Array(0), rateHz: 8000 }, wholeRecipe).pcm.samples).toHaveLength(0);
    expect(polish({ samples: new Float32Array(1), rateHz: 8000 }, wholeRecipe).pcm.samples).toHaveLength(1);
  });
});

describe('cutting on the waveform', () => {
  const second = (hz: number): Pcm => sine(hz, 8000, 1);
  const three = joinPcm([second(400), second(800), second(1600)], 8000);

  it('leaves stretches out, also at the ends and where they overlap', () => {
    const middleOnly = {
      cuts: [
        { fromMs: 0, toMs: 1000 },
        { fromMs: 2000, toMs: 9000 },
      ],
      pauses: [],
    };
    const cut = applyCutting(three, middleOnly);
    expect(lengthMs(cut)).toBe(1000);
    expect(toneDb(middle(cut), 800)).toBeGreaterThan(-7);
    const overlapping = {
      cuts: [
        { fromMs: 500, toMs: 1500 },
        { fromMs: 1200, toMs: 2500 },
      ],
      pauses: [],
    };
    expect(lengthMs(applyCutting(three, overlapping))).toBe(1000);
  });

  it('puts pauses in where they were asked for, and does not click there', () => {
    const paused = applyCutting(three, { cuts: [], pauses: [{ atMs: 1000, ms: 500 }] });
    expect(lengthMs(paused)).toBe(3500);
    expect(peakOf({ ...paused, samples: paused.samples.slice(8000, 12_000) })).toBe(0);
    expect(Math.abs(paused.samples[7999] ?? 1)).toBeLessThan(0.05);
    const both = applyCutting(three, { cuts: [{ fromMs: 500, toMs: 1500 }], pauses: [{ atMs: 1000, ms: 250 }] });
    expect(lengthMs(both)).toBe(2250);
  });

  it('takes everything away when everything is cut, and leaves places outside alone', () => {
    expect(applyCutting(three, { cuts: [{ fromMs: -5, toMs: 99_000 }], pauses: [] }).samples).toHaveLength(0);
    const late = applyCutting(three, { cuts: [{ fromMs: 8000, toMs: 9000 }], pauses: [{ atMs: 9000, ms: 100 }] });
    expect(lengthMs(late)).toBe(3100);
  });
});

describe('what is wrong with a recording', () => {
  const faultsOf = (pcm: Pcm) => soundFaults(measure(pcm));

  it('finds nothing in a good one', () => {
    expect(faultsOf(recording)).toEqual([]);
    expect(faultsOf(mixed(recording, noise(16_000, 8, 0.001)))).toEqual([]);
  });

  it('finds silence, quiet, clipping, noise and length', () => {
    expect(faultsOf(silence(8000, 2))).toEqual(['silent']);
    expect(faultsOf(withGain(recording, -34))).toEqual(['tooQuiet']);
    const hot = withGain(recording, 20);
    const clipped = { ...hot, samples: hot.samples.map((sample) => Math.max(-1, Math.min(1, sample))) };
    expect(faultsOf(clipped)).toEqual(['clipped']);
    expect(faultsOf(mixed(recording, noise(16_000, 8, 0.06)))).toEqual(['noisy']);
    expect(faultsOf(babble(8000, 70))).toEqual(['tooLong']);
  });
});

describe('how it is heard and drawn', () => {
  it('lets only the telephone band through', () => {
    const heard = (hz: number): number => levelDb(middle(asOnPhone(sine(hz, 16_000)))) - levelDb(sine(hz, 16_000));
    expect(heard(1000)).toBeCloseTo(0, 0);
    expect(heard(3300)).toBeGreaterThan(-3);
    expect(heard(100)).toBeLessThan(-25);
    expect(heard(3800)).toBeLessThan(-25);
  });

  it('draws the lowest and highest of each stretch', () => {
    const { low, high } = waveformOf({ samples: Float32Array.from([0.1, -0.5, 0.75, 0, 0, 0]), rateHz: 8000 }, 3);
    expect([[...low], [...high]]).toEqual([
      [-0.5, 0, 0],
      [Math.fround(0.1), 0.75, 0],
    ]);
    expect(waveformOf(silence(8000, 0), 2).high).toHaveLength(2);
  });
});
