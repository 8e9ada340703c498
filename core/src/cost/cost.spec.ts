import fc from 'fast-check';
import type { E164, PersonId } from '../directory';
import { callId } from '../exchange';
import { dayNumber } from '../hours';
import type { LineId, SheetId } from '../line';
import {
  budgetState,
  cardOn,
  chargedSeconds,
  costFigures,
  DayCharges,
  describeCost,
  forecastMonth,
  MonthBill,
  newCard,
  one,
  ratesProblem,
  readAmount,
  showAmount,
  showPrice,
  type ChargedCall,
  type CostRow,
  type RateCard,
  type Rates,
} from '.';

const main = 'line:main' as LineId;
const shed = 'line:shed' as LineId;
const november = (day: number) => dayNumber(2026, 11, day);
const number = (text: string) => text as E164;

const card: RateCard = {
  ...newCard,
  from: '2026-01-01',
  rent: 4 * one,
  includedMinutes: 10,
  perMinuteIn: 0.02 * one,
  perMinuteOut: 0.05 * one,
  outside: [
    { beginsWith: '+44', perMinute: 0.2 * one },
    { beginsWith: '+4477', perMinute: 0.4 * one },
  ],
  lines: [{ lineId: shed, rent: 10 * one, perMinuteIn: 0.1 * one }],
};
const rates: Rates = { currency: 'USD', cards: [card] };
const both = [
  { lineId: main, numbers: 2 },
  { lineId: shed, numbers: 1 },
];
const call = (lengthS: number, more: Partial<ChargedCall> = {}): ChargedCall => ({
  ...{ lineId: main, day: november(3), lengthMs: lengthS * 1000, outside: [] },
  ...more,
});
const bill = (calls: readonly ChargedCall[], of: Rates = rates, lines = both) => {
  const made = new MonthBill(of, lines, november(1));
  const costs = calls.map((each) => made.add(each));
  return { costs, month: made.cost() };
};

describe('what a month costs', () => {
  it('is the rent of each number, and nothing more while minutes are included', () => {
    const { costs, month } = bill([call(61), call(59)]);
    expect(costs).toEqual([
      { in: 0, out: 0 },
      { in: 0, out: 0 },
    ]);
    // Two numbers at 4, one at 10; two minutes begun and one.
    expect(month).toMatchObject({ rent: 18 * one, total: 18 * one, calls: 2, inSeconds: 180, includedSeconds: 180 });
  });

  it('goes to those who called first, and whoever uses up the rest pays for what is over', () => {
    const { costs, month } = bill([call(9 * 60), call(3 * 60), call(60, { lineId: shed })]);
    expect(costs.map((cost) => cost?.in)).toEqual([0, 0.04 * one, 0.1 * one]);
    expect(month.includedSeconds).toBe(600);
  });

  it('holds calls out to outside phones by how their number begins, on top of the caller’s own', () => {
    const outside = [
      { number: number('+12075550161'), forMs: 1000 },
      { number: number('+442079460123'), forMs: 61_000 },
      { number: number('+447712345678'), forMs: 60_000 },
      { number: number('+12075550162'), forMs: 0 },
    ];
    const { costs, month } = bill([call(60, { outside })]);
    expect(costs).toEqual([{ in: 0, out: 0.85 * one }]);
    expect(month.outSeconds).toBe(60 + 120 + 60);
  });

  it('has tax on everything, each call to a millionth', () => {
    const taxed = { ...card, taxPercent: 7.7, includedMinutes: 0, stepSeconds: 1 };
    const { costs, month } = bill([call(7)], { ...rates, cards: [taxed] });
    expect(costs).toEqual([{ in: Math.round((7 / 60) * 0.02 * 1.077 * one), out: 0 }]);
    expect(month.total).toBe(Math.round(4.308 * one) * 2 + Math.round(10.77 * one) + (costs[0]?.in ?? 0));
  });

  it('goes by the card of each day; the month’s minutes and rent by the one of its first', () => {
    const dearer = { ...card, from: '2026-11-15', perMinuteIn: 0.5 * one, includedMinutes: 1000, rent: 99 * one };
    const cards = [dearer, { ...card, includedMinutes: 0 }];
    const { costs, month } = bill([call(60), call(60, { day: november(15) })], { ...rates, cards });
    expect(costs.map((cost) => cost?.in)).toEqual([0.02 * one, 0.5 * one]);
    expect(month.rent).toBe(18 * one);
  });

  it('leaves out calls from before the first card, and says how many', () => {
    const late = { ...card, from: '2026-11-10', includedMinutes: 0 };
    const { costs, month } = bill([call(60), call(60, { day: november(10) })], { ...rates, cards: [late] });
    expect(costs.map((cost) => cost?.in ?? null)).toEqual([null, 0.02 * one]);
    expect(month).toMatchObject({ calls: 1, withoutCard: 1, rent: 18 * one });
    expect(bill([call(60)], { ...rates, cards: [] }).month).toMatchObject({ total: 0, withoutCard: 1 });
  });

  it('is nothing where nothing is charged', () => {
    const free = { ...rates, cards: [{ ...newCard, from: '2026-01-01' }] };
    expect(bill([call(3600)], free).month.total).toBe(0);
    expect(bill([], free, []).month.total).toBe(0);
  });

  it('is what a second telling makes of it', () => {
    const lengths = fc.array(fc.record({ s: fc.integer({ min: 0, max: 900 }), isShed: fc.boolean() }), {
      maxLength: 30,
    });
    fc.assert(
      fc.property(lengths, fc.constantFrom(1, 6, 30, 60), (calls, stepSeconds) => {
        const { month } = bill(
          calls.map(({ s, isShed }) => call(s, isShed ? { lineId: shed } : {})),
          { ...rates, cards: [{ ...card, stepSeconds }] },
        );
        // Second by second: the first six hundred are free.
        const seconds = calls.flatMap(({ s, isShed }) => {
          let whole = s;
          while (whole % stepSeconds > 0) whole += 1;
          return Array.from({ length: whole }, () => (isShed ? 0.1 : 0.02) / 60);
        });
        const paid = seconds.slice(600).reduce((sum, each) => sum + each, 0);
        expect(month.in / one).toBeCloseTo(paid, 4);
        expect(month.inSeconds).toBe(seconds.length);
      }),
    );
  });
});

it('charges a day at once as it charges its calls', () => {
  const calls = fc.array(fc.record({ s: fc.integer({ min: 0, max: 900 }), isShed: fc.boolean() }), { maxLength: 12 });
  const cards = [card, { ...card, from: '2026-11-04', perMinuteIn: one, taxPercent: 3 }];
  fc.assert(
    fc.property(fc.array(calls, { minLength: 1, maxLength: 6 }), fc.integer({ min: 0, max: 60 }), (days, free) => {
      const of = { ...rates, cards: cards.map((each) => ({ ...each, includedMinutes: free })) };
      const [single, whole] = [new MonthBill(of, both, november(1)), new MonthBill(of, both, november(1))];
      days.forEach((each, index) => {
        const day = november(1 + index);
        const made = each.map(({ s, isShed }) => call(s, { day, ...(isShed && { lineId: shed }) }));
        for (const one of made) single.add(one);
        // The calls may be another day's.
        whole.addDay(day, new DayCharges(made.map((one) => ({ ...one, day: 1 }))));
      });
      expect(whole.cost()).toEqual(single.cost());
    }),
  );
});

describe('the card of a day', () => {
  it('is the last to have begun, in whatever order they stand', () => {
    const cards = ['2026-03-01', '2027-01-01', '2026-01-01'].map((from) => ({ ...card, from }));
    const on = (month: number, day: number) => cardOn({ ...rates, cards }, dayNumber(2026, month, day))?.from;
    expect([on(1, 1), on(2, 28), on(3, 1), on(12, 31)]).toEqual([
      '2026-01-01',
      '2026-01-01',
      '2026-03-01',
      '2026-03-01',
    ]);
    expect(cardOn({ ...rates, cards }, dayNumber(2025, 12, 31))).toBeUndefined();
  });

  it('cannot be told where two begin together, and is refused in words', () => {
    const problem = (changes: Partial<RateCard>[]) =>
      ratesProblem({ ...rates, cards: changes.map((change) => ({ ...card, ...change })) });
    expect(problem([{}, { from: '2026-02-01' }])).toBeNull();
    expect(problem([{}, {}])).toMatch(/Two rate cards begin on 2026-01-01/);
    expect(problem([{ from: '2026-02-30' }])).toMatch(/no day 2026-02-30/);
    expect(problem([{ outside: [{ beginsWith: '44', perMinute: 0 }] }])).toMatch(/“44” is not how a number begins/);
    const twice = { beginsWith: '+44', perMinute: 0 };
    expect(problem([{ outside: [twice, twice] }])).toMatch(/two prices for numbers that begin with \+44/);
  });
});

it('charges begun steps whole', () => {
  expect([0, 1, 60_000, 60_001].map((ms) => chargedSeconds(ms, 60))).toEqual([0, 60, 60, 120]);
  expect(chargedSeconds(1500, 1)).toBe(2);
});

describe('amounts', () => {
  it.each([
    ['0.0085', 8500],
    ['0,0085', 8500],
    ['4', 4_000_000],
    ['1,234.50', 1_234_500_000],
    ['1.234,50', 1_234_500_000],
    ['1 234,5', 1_234_500_000],
    ["1'234.50", 1_234_500_000],
    ['1,234', 1_234_000_000],
    ['0,085', 85_000],
    ['1,234,567', 1_234_567_000_000],
    ['.5', 500_000],
    ['12.', 12_000_000],
  ])('are read as people type them: %s', (text, amount) => expect(readAmount(text)).toBe(amount));

  it.each(['', '-1', 'ten', '1.2.3,4,5x', '0.00000001', '99999999999', ','])('“%s” is none', (text) =>
    expect(readAmount(text)).toBeUndefined(),
  );

  it('are shown with their currency; prices with all they have', () => {
    expect(showAmount(1_234_500_000, 'USD', 'en-US')).toBe('$1,234.50');
    expect(showPrice(8500, 'USD', 'en-US')).toBe('$0.0085');
    expect(showPrice(one, 'JPY', 'en-US')).toMatch(/1$/);
    expect(showAmount(one / 2, 'EUR', 'de-DE')).toBe('0,50\u00a0€');
  });
});

describe('the cost of calls', () => {
  const row = (id: string, changes: Partial<CostRow> = {}): CostRow => ({
    ...{ idOf: () => callId.create(id), firstSheetId: 'sheet:welcome' as SheetId, firstChoice: '1' as const },
    ...call(60),
    ...changes,
  });
  const dear = { ...rates, cards: [{ ...card, includedMinutes: 1 }] };

  it('is told by line and by key, of the days that were asked for; the months whole', () => {
    const rows = [
      row('early', { day: november(1) }),
      row('a', { day: november(10) }),
      row('b', { day: november(11), lineId: shed, firstChoice: '2' }),
      row('c', { day: november(12), lengthMs: 120_000 }),
    ];
    const figures = costFigures(rows, { from: november(10), to: november(12) }, null, dear, both);
    expect(figures.months.map(({ month, calls }) => [month, calls])).toEqual([['2026-11', 4]]);
    expect(figures.byLine).toEqual([
      { lineId: shed, calls: 1, in: 0.1 * one, out: 0 },
      { lineId: main, calls: 2, in: 0.06 * one, out: 0 },
    ]);
    expect(figures.byKey.map(({ choice, calls }) => [choice, calls])).toEqual([
      ['2', 1],
      ['1', 2],
    ]);
    expect(figures.dearest[0]).toEqual({ callId: 'call:b', cost: 0.1 * one });
    const ofShed = costFigures(rows, { from: november(10), to: november(12) }, shed, dear, both);
    expect(ofShed.byLine.map(({ lineId }) => lineId)).toEqual([shed]);
  });

  it('is nothing of an empty log, but for the numbers', () => {
    const figures = costFigures([], { from: november(1), to: november(30) }, null, rates, both);
    expect(figures.months).toMatchObject([{ total: 18 * one, calls: 0 }]);
    expect([figures.byLine, figures.byKey, figures.dearest]).toEqual([[], [], []]);
  });
});

describe('the forecast to the month’s end', () => {
  const perMinute: Rates = { currency: 'USD', cards: [{ ...newCard, from: '2026-01-01', perMinuteIn: one }] };
  const timed = (day: number, minute: number, lengthS = 60) => ({ ...call(lengthS, { day }), minute });
  /** One call at 9 and one at 15 each day, for a minute. */
  const everyDay = (from: number, to: number) =>
    Array.from({ length: to - from + 1 }, (_, index) => from + index).flatMap((day) => [
      timed(day, 540),
      timed(day, 900),
    ]);

  it('goes on as the weeks before went, today from this time on', () => {
    // Noon on 16 November: 31 calls so far, one more today, two on each of the fourteen days that are left.
    const calls = [...everyDay(november(1) - 30, november(15)), timed(november(16), 540)];
    const now = { day: november(16), minute: 720 };
    const forecast = forecastMonth(perMinute, [], calls, november(1) - 30, now);
    expect(forecast).toEqual({ likely: 60 * one, low: 60 * one, high: 60 * one });
  });

  it('is as wide as days differ, and always the same', () => {
    const calls = everyDay(november(1) - 40, november(15)).map((each, index) => ({
      ...each,
      lengthMs: (1 + (index % 5)) * 60_000,
    }));
    const now = { day: november(16), minute: 0 };
    const forecast = forecastMonth(perMinute, [], calls, november(1) - 40, now);
    expect(forecastMonth(perMinute, [], calls, november(1) - 40, now)).toEqual(forecast);
    expect(forecast && forecast.low < forecast.likely && forecast.likely < forecast.high).toBe(true);
    // Three minutes a call in the long run: 60 calls.
    expect((forecast?.likely ?? 0) / one).toBeGreaterThan(160);
    expect((forecast?.likely ?? 0) / one).toBeLessThan(200);
  });

  it('is none while no whole day was logged', () => {
    const now = { day: november(16), minute: 720 };
    expect(forecastMonth(perMinute, [], [], november(16), now)).toBeNull();
    expect(forecastMonth(perMinute, [], [timed(november(15), 700)], november(15), now)).toBeNull();
  });
});

describe('a budget', () => {
  const tell: readonly PersonId[] = [];
  const month = { ...bill([call(9 * 60)]).month, month: '2026-11' };
  const forecast = { likely: 25 * one, low: 22 * one, high: 29 * one };

  it('is spent, will be, or will not', () => {
    expect(budgetState({ amount: 17 * one, tell }, month.total, forecast)).toBe('over');
    expect(budgetState({ amount: 20 * one, tell }, month.total, forecast)).toBe('likely');
    expect(budgetState({ amount: 20 * one, tell }, month.total, null)).toBe('within');
    expect(budgetState({ amount: 25 * one, tell }, month.total, forecast)).toBe('within');
    expect(budgetState({ amount: 0, tell }, 0, null)).toBe('within');
  });

  it('is told with what was spent and what will be', () => {
    const told = { currency: 'USD', budget: { amount: 20 * one, tell }, forecast, locale: 'en-US' };
    expect(describeCost(month, told)).toBe(
      'November 2026 has cost $18.00 so far, $18.00 of it for the numbers, with one call. At this pace it comes to about $25.00 by its end, most likely between $22.00 and $29.00. That would be over the budget of $20.00.',
    );
    const without = { ...month, withoutCard: 3 };
    expect(describeCost(without, { ...told, budget: null, forecast: null })).toMatch(
      /with one call\. 3 calls are from before the first rate card and not counted\.$/,
    );
  });
});
