import { centre, mixed, mixingOf } from './oneChannel';

const rateHz = 8000;
const sine = (hz: number, loud: number, phase = 0): Float32Array =>
  Float32Array.from({ length: rateHz }, (_, at) => loud * Math.sin((2 * Math.PI * hz * at) / rateHz + phase));
const peak = (samples: Float32Array): number => samples.reduce((most, each) => Math.max(most, Math.abs(each)), 0);
const as = (...channels: Float32Array[]) => ({ channels, rateHz });

describe('several channels made one', () => {
  it('are all heard where they go together, or only one of them has the voice', () => {
    for (const sound of [
      as(sine(440, 0.5)),
      as(sine(440, 0.5), sine(440, 0.5)),
      as(sine(440, 0.5), new Float32Array(rateHz)),
      as(sine(440, 0.5), sine(660, 0.4)),
      as(sine(440, 0.5), new Float32Array(rateHz), new Float32Array(rateHz), new Float32Array(rateHz)),
      as(new Float32Array(rateHz), new Float32Array(rateHz)),
    ]) {
      expect(mixingOf(sound)).toEqual({ type: 'all' });
    }
  });

  it('are the louder one alone where they would cancel each other out', () => {
    const sound = as(sine(440, 0.4), sine(440, 0.42, Math.PI));
    const mixing = mixingOf(sound);
    expect(mixing).toEqual({ type: 'only', channel: 1 });
    expect(peak(mixed(sound, mixing).samples)).toBeCloseTo(0.42, 2);
  });
});

describe('sound around zero', () => {
  it('has no constant offset any more', () => {
    const samples = sine(440, 0.2).map((each) => each + 0.3);
    centre({ samples, rateHz });
    expect(samples.reduce((sum, each) => sum + each, 0) / samples.length).toBeCloseTo(0, 4);
    expect(peak(samples)).toBeCloseTo(0.2, 2);
  });

  it('is within full scale, not cut there', () => {
    const samples = sine(440, 2.5);
    centre({ samples, rateHz });
    expect(peak(samples)).toBeCloseTo(1, 3);
    expect(samples[3]).toBeCloseTo((sine(440, 2.5)[3] ?? 0) / 2.5, 2);
  });

  it('is as it was where there is nothing to do', () => {
    const samples = sine(440, 0.5);
    centre({ samples, rateHz });
    expect(samples).toEqual(sine(440, 0.5));
    expect(() => centre({ samples: new Float32Array(), rateHz })).not.toThrow();
  });
});
