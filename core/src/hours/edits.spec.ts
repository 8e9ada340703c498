import fc from 'fast-check';
import { frozen, hours, lunch, open, zone } from '../testing/boatyard';
import {
  addPeriod,
  checkHours,
  cutTimes,
  daySpans,
  joinTimes,
  periodId,
  periodsAt,
  removePeriod,
  renamePeriod,
  setAlways,
  setDaySpans,
  showTime,
  weekdayName,
} from '.';

frozen(hours);

describe('edits of the week', () => {
  it('set what a period does on one day, in time order, and leave all else alone', () => {
    const edited = setDaySpans(hours, open.id, 6, [
      { startMin: 780, endMin: 900 },
      { startMin: 540, endMin: 720 },
    ]);
    expect(daySpans(edited, open.id, 6).map(({ startMin }) => startMin)).toEqual([540, 780]);
    expect(daySpans(edited, open.id, 1)).toEqual(daySpans(hours, open.id, 1));
    expect(daySpans(setDaySpans(edited, open.id, 6, []), open.id, 6)).toEqual([]);
  });

  it('let a period run always: at every minute of the week, clock changes and all', () => {
    const always = setAlways(hours, open.id);
    expect(checkHours(always).ok).toBe(true);
    expect(daySpans(always, lunch.id, 1)).toEqual(daySpans(hours, lunch.id, 1));
    for (let atMs = Date.UTC(2026, 9, 30); atMs < Date.UTC(2026, 10, 4); atMs += 15 * 60_000) {
      expect(periodsAt(always, zone, atMs).has(open.id)).toBe(true);
    }
  });

  it('add, rename and remove a period, with every time of it', () => {
    const evening = { id: periodId.create('evening'), name: 'Evening' };
    const added = setDaySpans(addPeriod(hours, evening), evening.id, 5, [{ startMin: 1080, endMin: 1320 }]);
    expect(renamePeriod(added, evening.id, 'Late').periods.at(-1)?.name).toBe('Late');
    expect(removePeriod(added, evening.id)).toEqual(hours);
    expect(removePeriod(hours, lunch.id).week).toEqual(hours.week);
  });
});

describe('painting', () => {
  const times = fc.array(
    fc.tuple(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 1, max: 20 })).map(([start, length]) => ({
      startMin: start * 15,
      endMin: Math.min(1440, (start + length) * 15),
    })),
    { maxLength: 6 },
  );
  const covers = (list: readonly { startMin: number; endMin: number }[], minute: number): boolean =>
    list.some(({ startMin, endMin }) => minute >= startMin && minute < endMin);

  it('joins what touches or overlaps, and covers the same minutes as before', () => {
    fc.assert(
      fc.property(times, (list) => {
        const joined = joinTimes(list);
        for (let minute = 0; minute < 1440; minute += 5) expect(covers(joined, minute)).toBe(covers(list, minute));
        joined.slice(1).forEach((time, index) => expect(time.startMin).toBeGreaterThan(joined[index]?.endMin ?? -1));
      }),
    );
  });

  it('clears a stretch and nothing else', () => {
    fc.assert(
      fc.property(
        times,
        fc.integer({ min: 0, max: 1400 }),
        fc.integer({ min: 5, max: 600 }),
        (list, startMin, length) => {
          const cut = { startMin, endMin: startMin + length };
          const rest = cutTimes(list, cut);
          for (let minute = 0; minute < 1440; minute += 5) {
            expect(covers(rest, minute)).toBe(covers(list, minute) && !covers([cut], minute));
          }
        },
      ),
    );
  });
});

describe('names', () => {
  it('of times and days', () => {
    expect([0, 510, 1440, 1560].map(showTime)).toEqual(['0:00', '8:30', '24:00', '2:00']);
    expect([1, 7].map(weekdayName)).toEqual(['Monday', 'Sunday']);
  });
});
