import { integratedLufs, limitPeaks, truePeakDb, type Pcm } from '.';
import { joinPcm } from './pcm';
import { silence, sine } from '../testing/tones';

const rateHz = 48_000;
const db = (level: number): number => 10 ** (level / 20);
/** A tone of 1 kHz at a level, for so many seconds. */
const tone = (level: number, seconds: number): Pcm => sine(1000, rateHz, seconds, db(level));
const stereo = (pcm: Pcm): number => integratedLufs([pcm.samples, pcm.samples], pcm.rateHz);
const parts = (...pieces: readonly [number, number][]): Pcm =>
  joinPcm(
    pieces.map(([level, seconds]) => tone(level, seconds)),
    rateHz,
  );

/** The tones and levels of EBU Tech 3341 (version 3), section 2.9. */
describe('integrated loudness, by the signals of EBU Tech 3341', () => {
  it.each([
    ['1: one level', () => parts([-23, 20]), -23],
    ['2: a lower one', () => parts([-33, 20]), -33],
    ['3: quieter parts are gated', () => parts([-36, 10], [-23, 60], [-36, 10]), -23],
    ['4: and very quiet ones', () => parts([-72, 10], [-36, 10], [-23, 60], [-36, 10], [-72, 10]), -23],
    ['5: parts within the gate count', () => parts([-26, 20], [-20, 20.1], [-26, 20]), -23],
  ])('case %s', (_, signal, wanted) => {
    expect(Math.abs(stereo(signal()) - wanted)).toBeLessThan(0.1);
  });

  it('case 6: five channels, the surrounds weighing more', () => {
    const channels = [-28, -28, -24, -30, -30].map((level) => tone(level, 20).samples);
    expect(Math.abs(integratedLufs(channels, rateHz) + 23)).toBeLessThan(0.1);
  });

  it.each([8000, 16_000, 44_100])('is the same at %i Hz', (rate) => {
    const signal = sine(1000, rate, 5, db(-23));
    expect(Math.abs(integratedLufs([signal.samples, signal.samples], rate) + 23)).toBeLessThan(0.1);
  });

  it('is nothing for silence, and is measured for less than a block', () => {
    expect(stereo(silence(rateHz, 2))).toBe(-Infinity);
    expect(integratedLufs([new Float32Array(0)], rateHz)).toBe(-Infinity);
    expect(Math.abs(stereo(tone(-23, 0.3)) + 23)).toBeLessThan(0.5);
  });
});

/** The sine signals of EBU Tech 3341, cases 15 to 19: peaks that fall between samples. */
describe('true peak', () => {
  it.each([
    [4, 0, 0.5, -6],
    [4, Math.PI / 4, 0.5, -6],
    [6, Math.PI / 3, 0.5, -6],
    [8, Math.PI / 8, 0.5, -6],
    [4, Math.PI / 4, 1.41, 3],
  ])('of a tone at a %i-th of the rate is right within 0.3 dB', (part, phase, amplitude, wanted) => {
    const signal = sine(rateHz / part, rateHz, 0.5, amplitude, phase);
    const faded = { rateHz, samples: signal.samples.map((sample, at) => sample * fadeAt(at, signal.samples.length)) };
    expect(Math.abs(truePeakDb(faded) - wanted)).toBeLessThan(0.3);
  });

  it('is kept under a ceiling by turning down around the peaks only', () => {
    const calm = sine(400, 8000, 1, 0.1);
    const loud = sine(2000, 8000, 0.1, 0.9, Math.PI / 4);
    const limited = limitPeaks(joinPcm([calm, loud, calm], 8000), -6);
    expect(truePeakDb(limited)).toBeLessThan(-5.7);
    expect(limited.samples.slice(0, 7000)).toEqual(calm.samples.slice(0, 7000));
  });
});

function fadeAt(at: number, length: number): number {
  return Math.min(1, at / 2000, (length - 1 - at) / 2000);
}
