import { hours as boatyardHours, lunch, open } from '../testing/boatyard';
import {
  checkHours,
  closedAllDay,
  occurrences,
  overlaps,
  readDate,
  removePeriod,
  removeSpecialDate,
  seasonId,
  setSpecialDate,
  showDate,
  specialDateId,
  type Hours,
  type SpecialDate,
  type When,
} from '.';

const date = (name: string, when: When, more: Partial<SpecialDate> = {}): SpecialDate => ({
  id: specialDateId.create(name),
  name,
  when,
  moved: 'stays',
  hours: closedAllDay,
  words: '',
  ...more,
});
const day = (text: string): number => readDate(text) ?? NaN;
const fourth = date('fourth', { type: 'yearly', month: 7, day: 4, days: 1 });
const newYear = date('newYear', { type: 'yearly', month: 12, day: 24, days: 9 });
const party = date('party', { type: 'once', from: '2026-12-30', to: '2026-12-30' });
const withSpecial = (...special: SpecialDate[]): Hours => ({ ...boatyardHours, special });

describe('the months ahead', () => {
  const shown = (hours: Hours, from: string, to: string): readonly string[] =>
    occurrences(hours, day(from), day(to)).map((each) => `${showDate(each.from)} ${each.date.name}`);

  it('tell each time that a special date comes round, in order', () => {
    expect(shown(withSpecial(newYear, fourth, party), '2026-07-01', '2028-06-30')).toEqual([
      '2026-07-04 fourth',
      '2026-12-24 newYear',
      '2026-12-30 party',
      '2027-07-04 fourth',
      '2027-12-24 newYear',
    ]);
  });

  it('begin with what began before them and goes on', () => {
    expect(shown(withSpecial(newYear), '2027-01-01', '2027-01-31')).toEqual(['2026-12-24 newYear']);
    expect(shown(withSpecial(newYear), '2027-01-02', '2027-01-31')).toEqual([]);
  });

  it('tell which special dates share a day', () => {
    const found = overlaps(withSpecial(newYear, fourth, party), day('2026-07-01'), day('2027-06-30'));
    expect(found.map(({ one, other }) => [one.date.name, other.date.name])).toEqual([['newYear', 'party']]);
    expect(overlaps(withSpecial(newYear, fourth), day('2026-07-01'), day('2027-06-30'))).toEqual([]);
  });
});

describe('special dates as they are changed', () => {
  it('are added, put in the place of what they were, and removed', () => {
    const added = setSpecialDate(withSpecial(fourth), party);
    expect(added.special).toEqual([fourth, party]);
    const renamed = setSpecialDate(added, { ...fourth, name: 'Independence Day' });
    expect(renamed.special.map(({ name }) => name)).toEqual(['Independence Day', 'party']);
    expect(removeSpecialDate(renamed, party.id).special).toHaveLength(1);
  });

  it('lose the times of a period that is removed, in seasons too, and can still be kept', () => {
    const spans = [open, lunch].map(({ id }) => ({ periodId: id, startMin: 480, endMin: 720 }));
    const hours: Hours = {
      ...withSpecial({ ...party, hours: { type: 'times', spans } }),
      seasons: [
        {
          id: seasonId.create('summer'),
          name: 'Summer',
          from: { month: 6, day: 1 },
          to: { month: 9, day: 1 },
          week: [{ periodId: lunch.id, day: 1, startMin: 720, endMin: 750 }],
        },
      ],
    };
    const left = removePeriod(hours, lunch.id);
    expect(left.seasons[0]?.week).toEqual([]);
    expect(left.special[0]?.hours).toEqual({ type: 'times', spans: [spans[0]] });
    expect(checkHours(left).ok).toBe(true);
  });
});
