import fc from 'fast-check';
import { hoursId, setDaySpans, weekdays, type Hours } from '../../hours';
import { saidWeek } from '../../speech';
import { hours, open, openMoment, zone } from '../../testing/boatyard';
import { isKept } from '../statedHours';
import { timesSaid } from './timesSaid';
import { cases } from '../../testing/cases';

const quarter = fc.integer({ min: 5 * 4, max: 11 * 4 }).map((quarters) => quarters * 15);
const length = fc.integer({ min: 2 * 4, max: 12 * 4 }).map((quarters) => quarters * 15);
/** A business that is open on some days, for some hours. */
const anyHours: fc.Arbitrary<Hours> = fc
  .array(fc.option(fc.tuple(quarter, length)), { minLength: 7, maxLength: 7 })
  .map((days) =>
    weekdays.reduce((week, day, index) => {
      const times = days[index];
      const spans = times ? [{ startMin: times[0], endMin: Math.min(times[0] + times[1], 1440) }] : [];
      return setDaySpans(week, open.id, day, spans);
    }, hours),
  );

describe('hours that the application itself says', () => {
  it('are never taken for untrue', () => {
    fc.assert(
      fc.property(anyHours, (any) => {
        const words = `We are open ${saidWeek(any, zone, openMoment, { language: 'en' })}.`;
        expect(timesSaid(words).filter((said) => !isKept(said, any, []))).toEqual([]);
      }),
      cases(400),
    );
  });

  it('are untrue once the hours are others', () => {
    fc.assert(
      fc.property(quarter, length, fc.constantFrom(60, 90, 120), (startMin, lasts, later) => {
        const on = (start: number): Hours =>
          setDaySpans({ ...hours, week: [] }, open.id, 3, [{ startMin: start, endMin: start + lasts }]);
        const words = `We are open ${saidWeek(on(startMin), zone, openMoment, { language: 'en' })}.`;
        expect(timesSaid(words)).toHaveLength(1);
        expect(timesSaid(words).some((said) => isKept(said, on(startMin + later), []))).toBe(false);
      }),
      cases(200),
    );
  });
});

describe('hours of others', () => {
  const dock: Hours = {
    ...hours,
    id: hoursId.create('dock'),
    week: [{ periodId: open.id, day: 6, startMin: 480, endMin: 720 }],
  };
  const [said] = timesSaid('The fuel dock is open Saturday, 8 to noon.');

  it('count too, on the days that are said', () => {
    expect(said && isKept(said, hours, [])).toBe(false);
    expect(said && isKept(said, hours, [dock])).toBe(true);
    const [sunday] = timesSaid('The fuel dock is open Sunday, 8 to noon.');
    expect(sunday && isKept(sunday, hours, [dock])).toBe(false);
  });

  it('of a season or a special date count as well', () => {
    const summer = {
      id: 'season:summer' as never,
      name: 'Summer',
      from: { month: 5, day: 15 },
      to: { month: 9, day: 15 },
      week: dock.week,
    };
    expect(said && isKept(said, { ...hours, seasons: [summer] }, [])).toBe(true);
  });
});
