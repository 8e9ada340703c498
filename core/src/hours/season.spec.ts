import fc from 'fast-check';
import { dayInYear, freeSeasonDates, isInSeason, readDate, seasonId, type MonthDay, type Season } from '.';
import { seasonProblems } from './season';
import { cases } from '../testing/cases';

const season = (name: string, from: MonthDay, to: MonthDay): Season => ({
  id: seasonId.create(name.toLowerCase()),
  name,
  from,
  to,
  week: [],
});
const date = (month: number, day: number): MonthDay => ({ month, day });

describe('dates for a further season', () => {
  it('are the summer where it is free', () => {
    expect(freeSeasonDates([])).toEqual({ from: date(6, 1), to: date(8, 31) });
    const winter = season('Winter', date(12, 1), date(2, 28));
    expect(freeSeasonDates([winter])).toEqual({ from: date(6, 1), to: date(8, 31) });
  });

  it('are else of the longest stretch that is free, over the end of the year too', () => {
    const summer = season('Summer', date(5, 1), date(9, 30));
    expect(freeSeasonDates([summer])).toEqual({ from: date(10, 1), to: date(12, 31) });
    const spring = season('Spring', date(1, 20), date(4, 30));
    expect(freeSeasonDates([spring, summer])).toMatchObject({ from: date(10, 1), to: date(12, 31) });
    const autumn = season('Autumn', date(10, 1), date(12, 10));
    expect(freeSeasonDates([spring, summer, autumn])).toEqual({ from: date(12, 11), to: date(1, 19) });
  });

  it('are none where every day is in a season', () => {
    expect(freeSeasonDates([season('All', date(1, 1), date(12, 31))])).toBeUndefined();
  });

  it('never meet another season, whatever there is', () => {
    const anyDate = fc.record({ month: fc.integer({ min: 1, max: 12 }), day: fc.integer({ min: 1, max: 28 }) });
    fc.assert(
      fc.property(fc.array(fc.tuple(anyDate, anyDate), { maxLength: 5 }), (dates) => {
        const all = dates.map(([from, to], index) => season(`S${index}`, from, to));
        if (seasonProblems(all).length > 0) return;
        const free = freeSeasonDates(all);
        if (free) expect(seasonProblems([...all, { ...season('New', free.from, free.to) }])).toEqual([]);
        else {
          const days = Array.from({ length: 366 }, (_, at) => dayInYear(2024, date(1, 1)) + at);
          expect(days.every((day) => all.some((each) => isInSeason(each, day)))).toBe(true);
        }
      }),
      cases(400),
    );
  });
});

describe('a season of some years', () => {
  const winter = season('Winter', date(11, 15), date(3, 1));
  const isIn = (years: Season['years'], ...days: string[]) =>
    days.map((text) => isInSeason(years ? { ...winter, years } : winter, readDate(text) ?? NaN));

  it('is there in the years in which it begins, to its end in the year after', () => {
    const days = ['2026-12-01', '2027-02-01', '2027-12-01', '2028-02-01', '2028-12-01'] as const;
    expect(isIn(undefined, ...days)).toEqual([true, true, true, true, true]);
    expect(isIn({ first: 2027, last: 2027 }, ...days)).toEqual([false, false, true, true, false]);
    expect(isIn({ first: 2027, last: null }, ...days)).toEqual([false, false, true, true, true]);
    expect(isIn({ first: null, last: 2026 }, ...days)).toEqual([true, true, false, false, false]);
  });

  it('shares no day with one of other years, however alike their dates are', () => {
    const of = (name: string, first: number | null, last: number | null, from = date(11, 15), to = date(3, 1)) => ({
      ...season(name, from, to),
      years: { first, last },
    });
    const meet = (...all: Season[]) => seasonProblems(all).map(({ type }) => type);
    expect(meet(of('One', null, 2026), of('Other', 2027, null))).toEqual([]);
    expect(meet(of('One', null, 2027), of('Other', 2027, null))).toEqual(['seasonsMeet']);
    // Over the end of the year one reaches into the year after.
    expect(meet(of('One', 2026, 2026), of('Other', 2027, 2027, date(1, 15), date(4, 1)))).toEqual(['seasonsMeet']);
    expect(meet(of('One', 2026, 2026), of('Other', 2028, 2028, date(1, 15), date(4, 1)))).toEqual([]);
    expect(meet(of('One', 2028, 2027))).toEqual(['seasonYears']);
    expect(meet(of('One', 2027.5, null))).toEqual(['seasonYears']);
  });

  it('meets another exactly where some day is in both', () => {
    const year = fc.option(fc.integer({ min: 2025, max: 2028 }));
    const any = fc
      .record({ month: fc.integer({ min: 1, max: 12 }), day: fc.integer({ min: 1, max: 28 }) })
      .chain((from) =>
        fc
          .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 28 }), year, year)
          .map(([month, day, first, last]) => ({ from, to: { month, day }, first, last })),
      );
    fc.assert(
      fc.property(any, any, (one, other) => {
        const made = (name: string, { from, to, first, last }: typeof one): Season => ({
          ...season(name, from, to),
          years: { first, last: last === null ? null : Math.max(first ?? 0, last) },
        });
        const [a, b] = [made('One', one), made('Other', other)];
        const from = readDate('2022-01-01') ?? 0;
        const shares = Array.from({ length: 365 * 9 }, (_, at) => from + at).some(
          (each) => isInSeason(a, each) && isInSeason(b, each),
        );
        expect(seasonProblems([a, b]).length > 0).toBe(shares);
      }),
      cases(150),
    );
  });
});
