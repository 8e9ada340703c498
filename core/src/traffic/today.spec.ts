import { dayNumber, sayDays, type Hours } from '../hours';
import { attendant, fuelId, hours, welcomeId } from '../testing/boatyard';
import {
  answeredFigures,
  dayBeside,
  describeDay,
  describeWorth,
  unpressedKeys,
  worthKnowing,
  type DayHourSum,
  type HourSum,
  type Recent,
  type SheetPresses,
  type WhenSums,
  type Worth,
} from '.';

/** A Saturday. */
const today = dayNumber(2026, 11, 28);

describe('a day so far', () => {
  const sum = (
    day: number,
    hour: number,
    calls: number,
    byNow: number,
    outcome: DayHourSum['outcome'] = 'answered',
  ) => ({
    ...{ day, hour, outcome, calls, byNow },
  });
  const saturdays = [1, 2, 3, 4].map((week) => today - 7 * week);
  const sums: readonly DayHourSum[] = [
    sum(today, 9, 12, 12),
    sum(today, 10, 2, 2, 'gaveUpRinging'),
    sum(today, 10, 1, 1, 'message'),
    sum(today, 10, 3, 3, 'blocked'),
    ...saturdays.flatMap((day, index) => [sum(day, 9, 4 + index, 4 + index), sum(day, 15, 8, 0)]),
  ];

  it('is set beside such days, by this time and hour by hour', () => {
    const day = dayBeside(sums, today, today - 100);
    expect(day).toMatchObject({ calls: 15, lost: 2, messages: 1, days: 8 });
    // Four of the eight Saturdays had nobody.
    expect(day.usualByNow).toEqual({ middle: 0, low: 0, high: 5 });
    expect(day.hours[9]).toEqual({ today: 12, usual: 22 / 8 });
    expect(day.hours[15]).toEqual({ today: 0, usual: 4 });
    const young = dayBeside(sums, today, today - 28);
    expect([young.days, young.usualByNow]).toEqual([4, { middle: 5, low: 4, high: 6 }]);
    expect(dayBeside([], today, null)).toMatchObject({ calls: 0, days: 0, usualByNow: null });
  });

  it('is told in words', () => {
    const words = (from: number) => describeDay(dayBeside(sums, today, from), today);
    expect(words(today - 28)).toBe(
      '15 calls so far today: One message, 2 hung up or reached nobody. By this time on a Saturday there are usually 4 to 6 calls, so it is a busy day.',
    );
    // Two such days tell nothing of what is usual.
    expect(words(today - 14)).toBe('15 calls so far today: One message, 2 hung up or reached nobody.');
    const quiet = sums.filter(({ day }) => day !== today);
    expect(describeDay(dayBeside(quiet, today, today - 28), today)).toBe(
      'Nobody has called today. By this time on a Saturday there are usually 4 to 6 calls, so it is a quiet day.',
    );
    expect(describeDay(dayBeside([], today, today - 100), today)).toBe(
      'Nobody has called today. By this time on a Saturday usually nobody has called.',
    );
  });
});

describe('keys that nobody pressed', () => {
  const presses = (visits: number, ...pressed: string[]): SheetPresses => ({
    ...{ sheetId: welcomeId, visits, seconds: [] },
    choices: pressed.map((choice) => ({ choice: choice as '1', visits: 1, medianS: null })),
  });

  it('are those that are read out, of menus that enough came to for long enough', () => {
    const keys = (of: SheetPresses, days = 91) => unpressedKeys(attendant, [of], days).keys.map(({ key }) => key);
    expect(keys(presses(200, '1', 'hungUp'))).toEqual(['2', '9']);
    expect(keys(presses(20, '1'))).toEqual([]);
    expect(keys(presses(200, '1'), 20)).toEqual([]);
    expect(keys({ ...presses(200), sheetId: fuelId })).toEqual([]);
  });

  it('are told with the time as people say it', () => {
    expect([28, 35, 58, 61, 91].map(sayDays)).toEqual([
      'four weeks',
      'five weeks',
      'eight weeks',
      'two months',
      'three months',
    ]);
  });
});

describe('what is worth knowing', () => {
  const span = { from: today - 28, to: today - 1 };
  /** Spread over the ten hours of a Tuesday in which it is open. */
  const sums = (answered: number, lost: number, more: readonly HourSum[] = []): WhenSums => {
    const of = (outcome: HourSum['outcome'], calls: number): HourSum[] =>
      Array.from({ length: 10 }, (_, index) => ({
        ...{ weekday: 2 as const, hour: 8 + index, outcome },
        calls: Math.floor(calls / 10) + (index < calls % 10 ? 1 : 0),
      }));
    const byHour = [...of('answered', answered), ...of('gaveUpInMenu', lost), ...more].filter(({ calls }) => calls > 0);
    const byDay = byHour.map(({ outcome, calls }) => ({ day: span.from + 3, outcome, calls }));
    return { byHour, byDay, firstDay: today - 300 };
  };
  const quiet: Recent = {
    ...{ span, recent: sums(200, 10), before: sums(200, 10) },
    ...{ pressed: [], answered: answeredFigures([], 20) },
  };
  const of = (changes: Partial<Recent>, by: Hours = hours) => worthKnowing({ ...quiet, ...changes }, by, null);
  const said = (worth: readonly Worth[]) =>
    worth.map((each) => describeWorth(each, { [welcomeId]: 'Welcome' }, () => 'fuel', 'twelve'));

  it('is nothing where nothing stands out, or too few called', () => {
    expect(of({})).toEqual([]);
    expect(of({ recent: sums(10, 9), before: sums(0, 0) })).toEqual([]);
  });

  it('is that surely more, or fewer, are lost', () => {
    expect(said(of({ recent: sums(160, 50) }))[0]).toBe(
      '24% of callers hung up or reached nobody in the last four weeks, up from 5% in the four before.',
    );
    expect(said(of({ before: sums(160, 50) }))[0]).toContain('down from 24%');
    expect(of({ recent: sums(195, 15) })).toEqual([]);
  });

  it('is an hour of the week in which far more are lost than in others', () => {
    const bad: HourSum[] = [
      { weekday: 1, hour: 9, outcome: 'missed', calls: 9 },
      { weekday: 1, hour: 9, outcome: 'answered', calls: 6 },
    ];
    const worth = of({ recent: sums(200, 10, bad), before: sums(200, 19) });
    expect(said(worth)).toContain('On Mondays between 9 and 10 AM, 9 of 15 callers hung up or reached nobody.');
  });

  it('is where callers hang up, err, wait long, or call while it is closed', () => {
    const at = (choice: 'hungUp' | 'wrongKeys', visits: number): SheetPresses => ({
      ...{ sheetId: welcomeId, visits: 200, seconds: [], choices: [{ choice, visits, medianS: null }] },
    });
    expect(said(of({ pressed: [at('hungUp', 50)] }))).toEqual(['25% of those who come to Welcome hang up in it.']);
    expect(said(of({ pressed: [at('wrongKeys', 20)] }))).toEqual([
      '10% of those who come to Welcome press only keys that have no use.',
    ]);
    expect(of({ pressed: [at('hungUp', 10)] })).toEqual([]);
    const slow = { ...quiet.answered, reached: 100, medianMs: 75_000, nineTenthsMs: 200_000 };
    expect(said(of({ answered: slow }))[0]).toMatch(/^Half of the callers wait longer than 1 min 15 s/);
    const sunday: HourSum[] = [{ weekday: 7, hour: 14, outcome: 'message', calls: 60 }];
    expect(said(of({ recent: sums(200, 10, sunday), before: sums(260, 10) }))).toContain(
      '22% of calls come while you are closed.',
    );
  });

  it('is that far more or fewer called, or that a key is of no use; three at the most, the worst first', () => {
    expect(said(of({ before: sums(100, 5) }))[0]).toBe(
      '210 calls came in the last four weeks, 100% more than in the four before.',
    );
    const unpressed = { days: 91, keys: [{ sheetId: welcomeId, key: '2' as const }] };
    expect(said(worthKnowing(quiet, hours, unpressed))).toEqual([
      'Nobody pressed 2 (fuel) in Welcome in three months.',
    ]);
    const pressed = [
      {
        sheetId: welcomeId,
        visits: 200,
        seconds: [],
        choices: [{ choice: 'hungUp' as const, visits: 90, medianS: null }],
      },
    ];
    const all = worthKnowing({ ...quiet, recent: sums(100, 80), before: sums(60, 2), pressed }, hours, unpressed);
    expect(all.map(({ type }) => type)).toEqual(['lostChanged', 'hangUps', 'moreCalls']);
  });
});
