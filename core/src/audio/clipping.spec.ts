import fc from 'fast-check';
import { cases } from '../testing/cases';
import { measure } from './measures';

const rateHz = 16_000;
const tone = (hz: number, loud: number, limit = Infinity): Float32Array =>
  Float32Array.from({ length: rateHz }, (_, at) => {
    const level = loud * Math.sin((2 * Math.PI * hz * at) / rateHz);
    // As it is kept: in 16 bits.
    return Math.round(Math.max(-limit, Math.min(limit, level)) * 32_767) / 32_767;
  });
const places = (samples: Float32Array): number => measure({ samples, rateHz }).clippedPlaces;

it('is seen at any level: also in a recording that was turned down afterwards', () => {
  for (const scale of [1, 0.5, 0.1, 0.04]) {
    expect(places(tone(200, 1.6 * scale, scale))).toBeGreaterThan(100);
  }
});

it('is not seen in what only is loud, low, or even', () => {
  fc.assert(
    fc.property(fc.integer({ min: 40, max: 4000 }), fc.double({ min: 0.03, max: 1, noNaN: true }), (hz, loud) => {
      expect(places(tone(hz, loud))).toBeLessThanOrEqual(3);
    }),
    cases(200),
  );
  expect(places(new Float32Array(rateHz))).toBe(0);
  expect(places(new Float32Array(rateHz).fill(0.5))).toBe(0);
});
