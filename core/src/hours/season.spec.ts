import fc from 'fast-check';
import { dayInYear, freeSeasonDates, isInSeason, seasonId, type MonthDay, type Season } from '.';
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
