import type { DaySum } from '.';
import { cameTo, changesBetween, describeCame, describeChange } from '.';

const sums = (counts: Readonly<Partial<Record<DaySum['outcome'], number>>>) => ({
  byDay: Object.entries(counts).map(([outcome, calls], index): DaySum => ({
    day: 20_000 + index,
    outcome: outcome as DaySum['outcome'],
    calls,
  })),
});

describe('what calls came to', () => {
  it('is counted by outcome and by what became of callers', () => {
    const came = cameTo(
      sums({ answered: 60, handedOver: 4, message: 16, missed: 10, letGo: 5, informed: 5, blocked: 30 }),
    );
    expect(came).toMatchObject({ calls: 100, byFate: { reached: 64, message: 16, served: 10, lost: 10 } });
    expect(came.byOutcome.find(({ outcome }) => outcome === 'handedOver')).toEqual({ outcome: 'handedOver', calls: 4 });
    expect(describeCame(came)).toBe(
      'Of 100 calls, 64% reached somebody, 16% left a message, 10% heard what they called for, and 10% hung up or reached nobody.',
    );
  });

  it('is compared, and said to be more only where there are calls enough', () => {
    const [before, after] = [
      cameTo(sums({ answered: 600, missed: 400 })),
      cameTo(sums({ answered: 750, missed: 250 })),
    ];
    const [reached, message, lost] = changesBetween(before, after).map(describeChange);
    expect(reached).toBe('75% reached somebody, 60% before: between 11 and 19 points more.');
    expect(message).toContain('too few calls to tell');
    expect(lost).toBe('25% hung up or reached nobody, 40% before: between 11 and 19 points fewer.');
    const few = changesBetween(cameTo(sums({ answered: 6, missed: 4 })), cameTo(sums({ answered: 9, missed: 1 })));
    expect(describeChange(few[0]!)).toBe(
      '90% reached somebody, 60% before: too few calls to tell whether that is more than chance.',
    );
  });

  it('is nothing of an empty log, and nothing can be told by it', () => {
    const nothing = cameTo({ byDay: [] });
    expect(describeCame(nothing)).toBe('Nobody called.');
    for (const change of changesBetween(nothing, cameTo(sums({ answered: 900 })))) {
      expect(change.isUnsure).toBe(true);
      expect(describeChange(change)).not.toContain('NaN');
    }
  });
});
