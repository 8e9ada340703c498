import { blocksOf, resampledBlocks, soundOf } from './blocks';
import { resample, type Pcm } from '.';
import { babble, noise } from '../testing/tones';

const differ = (one: Float32Array, other: Float32Array): number =>
  one.reduce((most, sample, at) => Math.max(most, Math.abs(sample - (other[at] ?? 9))), 0);

describe('a sound in blocks', () => {
  it('is the same sound once they are joined', () => {
    const sound = babble(16_000, 25);
    expect(differ(soundOf(blocksOf(sound), 16_000, sound.samples.length).samples, sound.samples)).toBe(0);
  });

  it.each([
    [44_100, 48_000],
    [48_000, 8000],
    [11_025, 8000],
    [22_050, 48_000],
    [8000, 48_000],
  ])('is resampled from %i to %i Hz as the whole would be', (fromHz, toHz) => {
    // Less than a block, one that is whole, one with a rest, and several.
    for (const seconds of [0.3, 1, 1.4, 2.6]) {
      const sound: Pcm = noise(fromHz, seconds, 0.3);
      const whole = resample(sound, toHz).samples;
      const made = soundOf(resampledBlocks(blocksOf(sound, 1), fromHz, toHz), toHz, whole.length).samples;
      expect(differ(made, whole)).toBeLessThan(1e-6);
    }
  });

  it('of nothing is nothing', () => {
    expect([...resampledBlocks([], 8000, 48_000)]).toEqual([]);
  });
});
