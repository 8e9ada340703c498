import { datedWeekId, ownWeek, readDate, seasonId, withOwnWeek, type Hours } from '.';
import { hours, open } from '../testing/boatyard';

const span = (day: number, startMin: number, endMin: number) => ({ day: day as 1, startMin, endMin });
const of = (day: number, startMin: number, endMin: number) => ({ ...span(day, startMin, endMin), periodId: open.id });
const later: Hours = {
  ...hours,
  week: [of(1, 480, 1020)],
  datedWeeks: [{ id: datedWeekId.create('new'), name: 'New', from: '2027-01-04', week: [of(2, 540, 960)] }],
  seasons: [
    {
      ...{ id: seasonId.create('summer'), name: 'Summer', from: { month: 6, day: 1 }, to: { month: 8, day: 31 } },
      week: [of(3, 420, 900)],
    },
  ],
};
const day = (date: string): number => readDate(date) ?? NaN;

describe('somebody’s own week', () => {
  it.each([
    ['2026-11-23', [span(1, 480, 1020)]],
    ['2027-02-01', [span(2, 540, 960)]],
    ['2027-07-01', [span(3, 420, 900)]],
  ])('on %s is that of the week that holds', (date, spans) => {
    expect(ownWeek(later, day(date))).toEqual(spans);
  });

  it.each(['2026-11-23', '2027-02-01', '2027-07-01'])(
    'changes on %s in the week that holds, and in no other',
    (date) => {
      const changed = withOwnWeek(later, day(date), [span(5, 600, 700)]);
      expect(ownWeek(changed, day(date))).toEqual([span(5, 600, 700)]);
      const others = ['2026-11-23', '2027-02-01', '2027-07-01'].filter((each) => each !== date);
      for (const other of others) expect(ownWeek(changed, day(other))).toEqual(ownWeek(later, day(other)));
    },
  );
});
