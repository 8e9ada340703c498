import fc from 'fast-check';
import { cases } from '../testing/cases';
import { chanceFrom, exponential, meanPatience, medianPatience, shapedPatience, stillWaiting, type SeenWait } from '.';

const gaveUp = (seconds: number): SeenWait => ({ waitedMs: seconds * 1000, gaveUp: true });
const answered = (seconds: number): SeenWait => ({ waitedMs: seconds * 1000, gaveUp: false });
const many = (count: number, make: (chance: () => number) => SeenWait): readonly SeenWait[] => {
  const chance = chanceFrom(20_261_128);
  return Array.from({ length: count }, () => make(chance));
};

describe('who waits still', () => {
  it('is reckoned with those who were answered before they gave up', () => {
    // Reckoned by hand: of 6, one gives up; of 4, one; of 2, one.
    const steps = stillWaiting([gaveUp(10), answered(15), gaveUp(20), answered(20), gaveUp(40), answered(50)]);
    expect(steps.map(({ fromMs, share }) => [fromMs / 1000, Number(share.toFixed(4))])).toEqual([
      [0, 1],
      [10, 0.8333],
      [20, 0.625],
      [40, 0.3125],
    ]);
    expect(medianPatience(steps)).toBe(40_000);
  });

  it('is everybody where nobody gave up, and nobody where all did', () => {
    expect(stillWaiting([answered(10), answered(90)])).toEqual([{ fromMs: 0, share: 1 }]);
    expect(medianPatience(stillWaiting([]))).toBeNull();
    expect(stillWaiting([gaveUp(5), gaveUp(5)]).at(-1)).toEqual({ fromMs: 5000, share: 0 });
  });

  it('never rises, and is the plain share where all gave up', () => {
    const wait = fc.record({ waitedMs: fc.integer({ min: 0, max: 200_000 }), gaveUp: fc.boolean() });
    fc.assert(
      fc.property(fc.array(wait, { maxLength: 60 }), (waits) => {
        const shares = stillWaiting(waits).map(({ share }) => share);
        shares.forEach((share, index) => expect(share).toBeLessThanOrEqual(shares[index - 1] ?? 1));
        const all = waits.map(({ waitedMs }) => ({ waitedMs, gaveUp: true }));
        for (const { fromMs, share } of stillWaiting(all).slice(1)) {
          expect(share).toBeCloseTo(all.filter(({ waitedMs }) => waitedMs > fromMs).length / all.length, 9);
        }
      }),
      cases(300),
    );
  });
});

describe('patience as a formula', () => {
  it('is found again in waits that were made by it, though most were answered before', () => {
    const waits = many(4000, (chance) => {
      const [patience, until] = [exponential(chance, 120), exponential(chance, 40)];
      return patience < until ? gaveUp(patience) : answered(until);
    });
    const mean = meanPatience(waits)!;
    expect(mean.between.low).toBeLessThan(120_000);
    expect(mean.between.high).toBeGreaterThan(120_000);
    expect(mean.meanMs / 120_000).toBeCloseTo(1, 0.9);
    // Nothing speaks for another shape.
    const { shapeBetween } = shapedPatience(waits)!;
    expect(shapeBetween.low).toBeLessThan(1);
    expect(shapeBetween.high).toBeGreaterThan(1);
  });

  it.each([
    [0.6, 90],
    [2, 60],
  ])('of shape %d and scale %d s is found again', (shape, scale) => {
    const waits = many(4000, (chance) => {
      const patience = scale * (-Math.log(1 - chance())) ** (1 / shape);
      const until = exponential(chance, 80);
      return patience < until ? gaveUp(patience) : answered(until);
    });
    const found = shapedPatience(waits)!;
    expect(Math.abs(found.shape - shape)).toBeLessThan(0.08 * shape);
    expect(Math.abs(found.scaleMs / 1000 - scale)).toBeLessThan(0.12 * scale);
    expect(found.shapeBetween.low).toBeLessThan(shape);
    expect(found.shapeBetween.high).toBeGreaterThan(shape);
    expect(found.shapeBetween.low > 1 || found.shapeBetween.high < 1).toBe(true);
  });

  it('is not made of too few, of nobody, or of those who all gave up at one moment', () => {
    expect(meanPatience([gaveUp(10), answered(60)])).toBeNull();
    expect([meanPatience([]), shapedPatience([])]).toEqual([null, null]);
    expect(shapedPatience(Array.from({ length: 20 }, () => gaveUp(30)))).toBeNull();
    expect(meanPatience(Array.from({ length: 20 }, () => gaveUp(0)))).toBeNull();
    const atOnce = shapedPatience([...Array.from({ length: 20 }, () => gaveUp(0)), gaveUp(40), answered(80)]);
    expect(atOnce === null || Number.isFinite(atOnce.scaleMs)).toBe(true);
  });
});
