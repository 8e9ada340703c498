import fc from 'fast-check';
import { cases } from '../testing/cases';
import { chanceFrom, quantile, quantileInterval, shareChange, shareInterval } from '.';

describe('where a share lies', () => {
  it.each([
    // Reckoned by hand from Wilson's formula.
    [8, 10, 0.4902, 0.9433],
    [0, 10, 0, 0.2775],
    [10, 10, 0.7225, 1],
    [81, 263, 0.2553, 0.3662],
    [0, 0, 0, 1],
  ])('of which %d of %d are a sample', (hits, all, low, high) => {
    const found = shareInterval(hits, all);
    expect(found.low).toBeCloseTo(low, 4);
    expect(found.high).toBeCloseTo(high, 4);
  });

  it('holds the share itself in some 95 of a hundred samples', () => {
    const chance = chanceFrom(7);
    let held = 0;
    const samples = 4000;
    for (let sample = 0; sample < samples; sample += 1) {
      const hits = Array.from({ length: 60 }, () => Number(chance() < 0.3)).reduce((sum, each) => sum + each, 0);
      const { low, high } = shareInterval(hits, 60);
      held += Number(low <= 0.3 && high >= 0.3);
    }
    expect(held / samples).toBeGreaterThan(0.93);
    expect(held / samples).toBeLessThan(0.97);
  });
});

describe('by how much a share changed', () => {
  it('is said only where there are calls enough to tell', () => {
    expect(shareChange({ hits: 6, all: 10 }, { hits: 8, all: 10 })).toMatchObject({ isUnsure: true });
    expect(shareChange({ hits: 600, all: 1000 }, { hits: 800, all: 1000 })).toMatchObject({ isUnsure: false });
    expect(shareChange({ hits: 0, all: 0 }, { hits: 800, all: 1000 }).isUnsure).toBe(true);
    const { by, low, high } = shareChange({ hits: 56, all: 70 }, { hits: 48, all: 80 });
    // The example by which the interval was published, the other way round.
    expect(by).toBeCloseTo(-0.2, 4);
    expect(low).toBeCloseTo(-0.3339, 3);
    expect(high).toBeCloseTo(-0.0524, 3);
  });

  it('is nothing that cannot be, whatever was counted', () => {
    const sample = fc.tuple(fc.nat(500), fc.nat(500)).map(([hits, more]) => ({ hits, all: hits + more }));
    fc.assert(
      fc.property(sample, sample, (before, after) => {
        const { by, low, high } = shareChange(before, after);
        for (const each of [by, low, high]) expect(Math.abs(each)).toBeLessThanOrEqual(1);
        expect(low).toBeLessThanOrEqual(by + 1e-9);
        expect(high).toBeGreaterThanOrEqual(by - 1e-9);
      }),
      cases(400),
    );
  });
});

describe('the median and its like', () => {
  it('are values that there were, by the nearest rank', () => {
    expect(quantile([1, 2, 3, 4], 0.5)).toBe(2);
    expect(quantile([1, 2, 3, 4, 5], 0.5)).toBe(3);
    expect(quantile([1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 0.9)).toBe(9);
    expect([quantile([7], 0.9), quantile([], 0.5), quantile([3, 4], 0)]).toEqual([7, null, 3]);
  });

  it('lie between two that there were, or it cannot be told', () => {
    const hundred = Array.from({ length: 100 }, (_, index) => index + 1);
    expect(quantileInterval(hundred, 0.5)).toEqual({ low: 40, high: 61 });
    expect(quantileInterval([1, 2, 3], 0.5)).toBeNull();
    expect(quantileInterval([], 0.5)).toBeNull();
  });
});
