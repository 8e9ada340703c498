import { holdMusicIds } from '../line';
import { holdMusic, levelDb, lengthMs, peakOf, phoneRateHz, type Pcm } from '.';

describe.each(holdMusicIds)('the hold music %s', (id) => {
  let music: Pcm;
  beforeAll(() => {
    music = holdMusic(id, phoneRateHz);
  });

  it('is a piece of some twenty seconds, neither clipped nor too quiet for a telephone', () => {
    expect(lengthMs(music)).toBeGreaterThan(14_000);
    expect(lengthMs(music)).toBeLessThan(30_000);
    expect(peakOf(music)).toBeLessThan(0.9);
    expect(levelDb(music)).toBeGreaterThan(-32);
    expect(levelDb(music)).toBeLessThan(-12);
  });

  it('begins again without a click: its end runs into its beginning', () => {
    const { samples } = music;
    const largest = samples.reduce(
      (most, sample, at) => Math.max(most, Math.abs(sample - (samples[at - 1] ?? sample))),
      0,
    );
    const seam = Math.abs((samples[0] ?? 0) - (samples.at(-1) ?? 0));
    expect(seam).toBeLessThanOrEqual(largest);
  });

  it('never falls silent for long', () => {
    const second = (from: number) => ({ ...music, samples: music.samples.slice(from, from + phoneRateHz) });
    for (let from = 0; from + phoneRateHz <= music.samples.length; from += phoneRateHz) {
      expect(levelDb(second(from))).toBeGreaterThan(-45);
    }
  });
});
