import {
  closedAllDay,
  datedWeekId,
  seasonId,
  specialDateId,
  weekdays,
  type DatedWeek,
  type PeriodId,
  type Season,
  type SpecialDate,
  type SpecialHours,
  type When,
} from '@locutor/core/hours';

/** From the middle of May the yard opens earlier and closes later, and Saturdays are whole days. */
export function summerOf(open: PeriodId): Season {
  return {
    id: seasonId.create('summer'),
    name: 'Summer',
    from: { month: 5, day: 15 },
    to: { month: 9, day: 15 },
    week: weekdays.slice(0, 6).map((day) => ({ periodId: open, day, startMin: 420, endMin: day === 6 ? 900 : 1050 })),
  };
}

/** Once the last boats are in, the shed keeps fewer hours. */
export function shedFrom(open: PeriodId, from: string): DatedWeek {
  const week = [2, 6].map((day) => ({
    periodId: open,
    day: day as 2 | 6,
    startMin: 600,
    endMin: day === 6 ? 720 : 840,
  }));
  return { id: datedWeekId.create('shed'), name: 'Deep winter', from, week };
}

const yearly = (month: number, day: number, days = 1): When => ({ type: 'yearly', month, day, days });
const nth = (which: 1 | 3 | 4 | -1, weekday: 1 | 4 | 6, month: number, days = 1): When => ({
  type: 'nthWeekday',
  nth: which,
  weekday,
  month,
  plusDays: 0,
  days,
});

/** The days on which the boatyard is not as in any other week. */
export function specialDates(open: PeriodId): readonly SpecialDate[] {
  const untilNoon: SpecialHours = { type: 'times', spans: [{ periodId: open, startMin: 480, endMin: 720 }] };
  const dates: readonly (readonly [string, When, Partial<SpecialDate>?])[] = [
    ['Martin Luther King Jr. Day', nth(3, 1, 1)],
    ['Memorial Day', nth(-1, 1, 5)],
    ['Independence Day', yearly(7, 4), { moved: 'nearestWorkday' }],
    ['Labor Day', nth(1, 1, 9)],
    ['Thanksgiving', nth(4, 4, 11)],
    ['Christmas to New Year', yearly(12, 24, 9), { words: 'The boatyard is closed from Christmas to New Year.' }],
    [
      'Town regatta',
      nth(3, 6, 7),
      { words: 'It is the day of the town regatta. The fuel dock alone is open, until noon.' },
    ],
    ['Inventory week', nth(1, 1, 1, 5), { words: 'We are counting our parts this week, and are closed.' }],
    ['Christmas party', { type: 'once', from: '2026-12-18', to: '2026-12-18' }, { hours: untilNoon }],
  ];
  return dates.map(([name, when, more], index) => ({
    id: specialDateId.create(`demo${index + 1}`),
    name,
    when,
    moved: 'stays',
    hours: closedAllDay,
    words: '',
    ...more,
  }));
}
