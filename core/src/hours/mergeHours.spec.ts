import { hours, lunch, open } from '../testing/boatyard';
import { closedAllDay, describeHoursClashes, mergeHours, periodId, seasonId, setDaySpans, specialDateId } from '.';
import { addPeriod, removePeriod, renamePeriod, setSpecialDate, type Hours, type SpecialDate } from '.';

const fair: SpecialDate = {
  id: specialDateId.create('fair'),
  name: 'Boat fair',
  when: { type: 'once', from: '2027-05-01', to: '2027-05-02' },
  moved: 'stays',
  hours: closedAllDay,
  words: '',
};
const base: Hours = setSpecialDate(
  {
    ...hours,
    seasons: [
      {
        id: seasonId.create('summer'),
        name: 'Summer',
        from: { month: 6, day: 1 },
        to: { month: 8, day: 31 },
        week: [],
      },
    ],
  },
  fair,
);
const on = (day: 1 | 6 | 7, startMin: number, endMin: number, of: Hours = base): Hours =>
  setDaySpans(of, open.id, day, [{ startMin, endMin }]);
const told = (mine: Hours, theirs: Hours) =>
  describeHoursClashes(theirs, mergeHours(base, mine, theirs).clashes, (minutes) => `${minutes / 60}h`);

describe('two windows that edit the same hours', () => {
  it.each<readonly [string, Hours, Hours, Hours]>([
    ['two days', on(1, 540, 1080), on(7, 600, 720), on(7, 600, 720, on(1, 540, 1080))],
    [
      'a period’s name and its times',
      renamePeriod(base, open.id, 'Yard'),
      on(6, 540, 720),
      on(6, 540, 720, renamePeriod(base, open.id, 'Yard')),
    ],
    [
      'a special date’s words and its hours',
      setSpecialDate(base, { ...fair, words: 'At the fair.' }),
      setSpecialDate(base, { ...fair, hours: { type: 'closed', startMin: 0, endMin: 720 } }),
      setSpecialDate(base, { ...fair, words: 'At the fair.', hours: { type: 'closed', startMin: 0, endMin: 720 } }),
    ],
  ])('keep both where they changed %s', (_, mine, theirs, both) => {
    const { document, clashes } = mergeHours(base, mine, theirs);
    expect(clashes).toEqual([]);
    const inOrder = ({ week, ...more }: Hours) => ({
      ...more,
      week: new Set(week.map((span) => JSON.stringify(span))),
    });
    expect(inOrder(document)).toEqual(inOrder(both));
  });

  it('never mix the times that both gave one day', () => {
    const { document } = mergeHours(base, on(1, 480, 1080), on(1, 540, 1050), () => 'mine');
    expect(document.week.filter(({ day }) => day === 1)).toEqual([
      { periodId: open.id, day: 1, startMin: 480, endMin: 1080 },
    ]);
  });

  it('keep a period that the one deleted while the other gave it times', () => {
    const night = { id: periodId.create('night'), name: 'Night' };
    const before = addPeriod(base, night);
    const mine = setDaySpans(before, night.id, 5, [{ startMin: 1080, endMin: 1500 }]);
    const { document, clashes } = mergeHours(before, mine, removePeriod(before, night.id));
    expect(clashes).toEqual([]);
    expect(document.periods).toContainEqual(night);
    expect(mergeHours(before, before, removePeriod(before, night.id)).document.periods).not.toContainEqual(night);
  });

  it.each<readonly [string, Hours, Hours, object]>([
    [
      'the times of a day',
      on(1, 480, 1080),
      on(1, 540, 1050),
      { where: 'Open on Mondays', mine: '8h to 18h', theirs: '9h to 17.5h' },
    ],
    [
      'a day that one of them closed',
      setDaySpans(base, open.id, 1, []),
      setDaySpans(base, open.id, 1, [
        { startMin: 780, endMin: 1020 },
        { startMin: 480, endMin: 720 },
      ]),
      { where: 'Open on Mondays', mine: 'not at all', theirs: '8h to 12h and 13h to 17h' },
    ],
    [
      'the name',
      { ...base, name: 'Yard' },
      { ...base, name: 'Office' },
      { where: 'The name of these hours', mine: 'Yard', theirs: 'Office' },
    ],
    [
      'a period’s name',
      renamePeriod(base, lunch.id, 'Break'),
      renamePeriod(base, lunch.id, 'Pause'),
      { where: 'The period Pause', mine: 'Break', theirs: 'Pause' },
    ],
    [
      'a period that one of them deleted',
      removePeriod(base, lunch.id),
      renamePeriod(base, lunch.id, 'Pause'),
      { where: 'The period Pause', mine: 'deleted', theirs: 'there, as Pause' },
    ],
    [
      'when a special date is',
      setSpecialDate(base, { ...fair, when: { type: 'once', from: '2027-05-08', to: '2027-05-08' } }),
      setSpecialDate(base, { ...fair, when: { type: 'yearly', month: 5, day: 1, days: 2 } }),
      { where: 'Boat fair: its days', mine: 'Sat 8 May 2027', theirs: 'every year on 1 May, 2 days' },
    ],
    [
      'the hours of a special date',
      setSpecialDate(base, { ...fair, hours: { type: 'closed', startMin: 720, endMin: 1440 } }),
      setSpecialDate(base, {
        ...fair,
        hours: { type: 'times', spans: [{ periodId: open.id, startMin: 600, endMin: 720 }] },
      }),
      { where: 'Boat fair: its hours', mine: 'closed 12h to 24h', theirs: 'Open 10h to 12h' },
    ],
    [
      'what callers hear and a move',
      setSpecialDate(base, { ...fair, moved: 'nextWorkday' }),
      setSpecialDate(base, { ...fair, moved: 'nearestWorkday' }),
      {
        where: 'Boat fair: on a weekend',
        mine: 'moves to the next working day',
        theirs: 'moves to the nearest working day',
      },
    ],
    [
      'a season’s end',
      { ...base, seasons: base.seasons.map((season) => ({ ...season, to: { month: 9, day: 15 } })) },
      { ...base, seasons: base.seasons.map((season) => ({ ...season, to: { month: 9, day: 30 } })) },
      { where: 'Summer', mine: 'to 15 September', theirs: 'to 30 September' },
    ],
    [
      'a day of a season',
      { ...base, seasons: base.seasons.map((each) => ({ ...each, week: on(6, 540, 720).week.slice(-1) })) },
      { ...base, seasons: base.seasons.map((each) => ({ ...each, week: on(6, 540, 780).week.slice(-1) })) },
      { where: 'Summer: Open on Saturdays', mine: '9h to 12h', theirs: '9h to 13h' },
    ],
  ])('are told in words over %s', (_, mine, theirs, words) => {
    expect(told(mine, theirs)).toEqual([words]);
  });
});
