import { readDate, showDate, type DayNumber } from '../hours';
import { describeWhen, namedSpan, percent, sayHours, spanBefore, whenFigures, type WhenSums } from '.';

const day = (text: string): DayNumber => readDate(text) ?? 0;
const november = { from: day('2026-11-01'), to: day('2026-11-30') };
const today = day('2026-11-28');
const sums: WhenSums = {
  byHour: [
    { weekday: 1, hour: 9, outcome: 'answered', calls: 20 },
    { weekday: 1, hour: 9, outcome: 'message', calls: 2 },
    { weekday: 3, hour: 12, outcome: 'missed', calls: 4 },
    { weekday: 3, hour: 12, outcome: 'gaveUpInQueue', calls: 1 },
    { weekday: 5, hour: 16, outcome: 'informed', calls: 3 },
    { weekday: 5, hour: 16, outcome: 'blocked', calls: 9 },
  ],
  byDay: [
    { day: day('2026-11-09'), outcome: 'answered', calls: 20 },
    { day: day('2026-11-16'), outcome: 'message', calls: 2 },
    { day: day('2026-11-18'), outcome: 'missed', calls: 5 },
    { day: day('2026-11-27'), outcome: 'informed', calls: 3 },
  ],
  firstDay: day('2026-11-05'),
};
const figures = whenFigures(sums, november, today);

describe('when people called', () => {
  it('counts callers by what became of them, and leaves blocked ones aside', () => {
    expect(figures).toMatchObject({ calls: 30, reached: 20, message: 2, served: 3, lost: 5 });
    expect(figures.hours).toHaveLength(168);
    expect(figures.hours.reduce((sum, { calls }) => sum + calls, 0)).toBe(30);
  });

  it('tells what is to be expected of an hour by the days that the log covers, not those of the span', () => {
    // From the 5th to the 28th there are three Mondays.
    expect(figures.days).toBe(24);
    expect(figures.busiest).toMatchObject({ weekday: 1, hour: 9, calls: 22, each: 22 / 3 });
    expect(figures.worst).toMatchObject({ weekday: 3, hour: 12, lost: 5 });
  });

  it('counts by weeks from Monday on, and says which are whole', () => {
    expect(figures.weeks.map(({ monday, calls, isWhole }) => [showDate(monday), calls, isWhole])).toEqual([
      ['2026-11-02', 0, false],
      ['2026-11-09', 20, true],
      ['2026-11-16', 7, true],
      ['2026-11-23', 3, false],
    ]);
  });

  it('is said in sentences', () => {
    expect(describeWhen(figures, 'twelve')).toBe(
      '30 calls. The busiest hour is on Mondays between 9 and 10 AM, with about 7 each time. 67% reached somebody, 7% left a message, and 5 callers (17%) hung up or reached nobody.',
    );
    const atNoon = { ...figures, hours: [...figures.hours.slice(0, 60), { ...figures.hours[61]!, lost: 1 }] };
    expect(describeWhen({ ...atNoon, hours: [figures.worst!, { ...figures.worst!, lost: 1 }] }, 'twelve')).toContain(
      'nobody, most often on Wednesdays between noon and 1 PM.',
    );
  });

  it('is nothing of an empty log, one call, or a span to come', () => {
    const empty = whenFigures({ byHour: [], byDay: [], firstDay: null }, november, today);
    expect(empty).toMatchObject({ calls: 0, busiest: null, worst: null, weeks: [], days: 0 });
    expect(empty.hours.every(({ each }) => each === 0)).toBe(true);
    expect(describeWhen(empty, 'twelve')).toBe('Nobody called.');
    const one = whenFigures(
      { byHour: [{ weekday: 2, hour: 23, outcome: 'answered', calls: 1 }], byDay: [], firstDay: day('2026-11-24') },
      november,
      day('2026-11-24'),
    );
    expect(describeWhen(one, 'twelve')).toBe(
      'One call: too few to tell when most come. 1 reached somebody, 0 left a message, 0 hung up or reached nobody.',
    );
    expect(whenFigures(sums, { from: today + 400, to: today + 430 }, today)).toMatchObject({ days: 0, weeks: [] });
  });
});

describe('spans of days', () => {
  const shown = (name: Parameters<typeof namedSpan>[0], on: string) => {
    const { from, to } = namedSpan(name, day(on));
    return `${showDate(from)} ${showDate(to)}`;
  };

  it.each([
    ['today', '2026-11-28', '2026-11-28 2026-11-28'],
    ['yesterday', '2026-03-01', '2026-02-28 2026-02-28'],
    ['thisWeek', '2026-11-28', '2026-11-23 2026-11-28'],
    ['thisWeek', '2026-11-23', '2026-11-23 2026-11-23'],
    ['lastWeek', '2026-11-29', '2026-11-16 2026-11-22'],
    ['thisMonth', '2026-11-28', '2026-11-01 2026-11-28'],
    ['lastMonth', '2026-01-15', '2025-12-01 2025-12-31'],
    ['lastMonth', '2028-03-31', '2028-02-01 2028-02-29'],
    ['last30Days', '2026-11-28', '2026-10-30 2026-11-28'],
    ['last12Months', '2026-11-28', '2025-11-01 2026-11-28'],
  ] as const)('%s on %s', (name, on, span) => {
    expect(shown(name, on)).toBe(span);
  });

  it('have as many days before them', () => {
    const { from, to } = spanBefore({ from: day('2026-11-23'), to: day('2026-11-29') });
    expect([showDate(from), showDate(to)]).toEqual(['2026-11-16', '2026-11-22']);
  });
});

describe('words for figures', () => {
  it('say hours as people do', () => {
    expect([0, 8, 11, 12, 13, 23].map((hour) => sayHours(hour, 'twelve'))).toEqual([
      'midnight and 1 AM',
      '8 and 9 AM',
      '11 AM and noon',
      'noon and 1 PM',
      '1 and 2 PM',
      '11 PM and midnight',
    ]);
    expect([0, 9, 23].map((hour) => sayHours(hour, 'twentyFour'))).toEqual([
      '0:00 and 1:00',
      '9:00 and 10:00',
      '23:00 and 24:00',
    ]);
  });

  it('round no share to none or all', () => {
    expect([percent(1, 1000), percent(999, 1000), percent(0, 9), percent(9, 9), percent(1, 3), percent(0, 0)]).toEqual([
      'under 1%',
      'over 99%',
      '0%',
      '100%',
      '33%',
      '0%',
    ]);
  });
});
