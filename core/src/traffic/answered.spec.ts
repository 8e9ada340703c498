import fc from 'fast-check';
import { callId } from '../exchange';
import { groupId, personId } from '../directory';
import { sheetId } from '../line';
import { outcomes } from '../call';
import { cases } from '../testing/cases';
import { answeredFigures as figuresOfDays, describeAnswered, saySeconds, type DayCall } from '.';

const welcome = sheetId.create('welcome');
const desk = groupId.create('desk');
const noor = personId.create('noor');

const row = (toPersonMs: number | null, more: Partial<DayCall> = {}): DayCall => ({
  minute: 600,
  lengthMs: 60_000,
  outside: [],
  outcome: toPersonMs === null ? 'missed' : 'answered',
  toPersonMs,
  way: toPersonMs === null ? null : desk,
  firstSheetId: welcome,
  firstChoice: '1',
  ...more,
});
const answeredFigures = (calls: readonly DayCall[], withinS: number) =>
  figuresOfDays([{ calls, idOf: (at) => callId.create(`c${at}`) }], withinS);
const seconds = (...all: readonly number[]): readonly DayCall[] => all.map((each) => row(each * 1000));

describe('how long until somebody answered', () => {
  it('is the median, nine in ten, and the share within some seconds, of those who reached somebody', () => {
    const figures = answeredFigures([...seconds(4, 8, 12, 16, 20, 24, 28, 32, 36, 95), row(null), row(null)], 20);
    expect(figures).toMatchObject({
      calls: 12,
      reached: 10,
      lost: 2,
      medianMs: 20_000,
      nineTenthsMs: 36_000,
      within: 5,
    });
    expect(describeAnswered(figures)).toBe(
      'Half of the callers who reached somebody waited less than 20 s, nine in ten less than 36 s; 50% were answered within 20 s of the line picking up. 2 callers reached nobody and left no message.',
    );
    expect(figures.longest[0]?.toPersonMs).toBe(95_000);
  });

  it('is told apart by who brought the call, by what was pressed, and by hour', () => {
    const { byWay, byKey, byHour } = answeredFigures(
      [
        row(10_000),
        row(30_000),
        row(5000, { way: noor, firstChoice: '2', minute: 780 }),
        row(null, { firstChoice: 'hungUp', outcome: 'gaveUpInMenu' }),
      ],
      20,
    );
    expect(byWay.map(({ to, reached, medianMs }) => [to, reached, medianMs])).toEqual([
      [desk, 2, 10_000],
      [noor, 1, 5000],
    ]);
    expect(byKey.map(({ choice, reached, lost }) => [choice, reached, lost])).toEqual([
      ['1', 2, 0],
      ['2', 1, 0],
      ['hungUp', 0, 1],
    ]);
    expect(byHour.map(({ hour, reached, lost }) => [hour, reached, lost])).toEqual([
      [10, 2, 1],
      [13, 1, 0],
    ]);
  });

  it('counts each call in one stretch of time', () => {
    const { stretches } = answeredFigures(seconds(10, 10.001, 20, 299, 300, 301, 4000), 20);
    expect(stretches.filter(({ calls }) => calls > 0)).toEqual([
      { untilS: 10, calls: 1 },
      { untilS: 20, calls: 2 },
      { untilS: 300, calls: 2 },
      { untilS: null, calls: 2 },
    ]);
  });

  it('says when there is nothing, or too little, to tell', () => {
    expect(describeAnswered(answeredFigures([], 20))).toBe('Nobody called.');
    expect(describeAnswered(answeredFigures([row(null)], 20))).toBe(
      'Nobody was reached. 1 caller reached nobody and left no message.',
    );
    expect(describeAnswered(answeredFigures([row(7000)], 20))).toBe(
      '1 caller reached somebody: too few to tell how long it usually takes.',
    );
    expect(answeredFigures([], 20)).toMatchObject({ medianMs: null, medianBetween: null, longest: [], byWay: [] });
    expect([saySeconds(59_001), saySeconds(60_001), saySeconds(120_000)]).toEqual(['1 min', '1 min 1 s', '2 min']);
  });

  it('agrees with a count one by one, whatever the log holds', () => {
    const any = fc.record({
      toPersonMs: fc.option(fc.integer({ min: 0, max: 400_000 })),
      outcome: fc.constantFrom(...outcomes),
      minute: fc.integer({ min: 0, max: 1439 }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 60 }), fc.integer({ min: 1, max: 120 }), (all, withinS) => {
        const rows = all.map(({ toPersonMs, ...more }) => row(toPersonMs, more));
        const figures = answeredFigures(rows, withinS);
        const aside = ['blocked', 'cut', 'boxHeard', 'greetingRecorded'];
        const times = rows.flatMap(({ outcome, toPersonMs }) => (aside.includes(outcome) ? [] : (toPersonMs ?? [])));
        expect(figures.reached).toBe(times.length);
        expect(figures.within).toBe(times.filter((ms) => ms <= withinS * 1000).length);
        expect(figures.stretches.reduce((sum, { calls }) => sum + calls, 0)).toBe(times.length);
        expect(figures.byHour.reduce((sum, { reached }) => sum + reached, 0)).toBe(times.length);
        if (figures.medianMs !== null) {
          const below = times.filter((ms) => ms <= (figures.medianMs ?? 0)).length;
          expect(below).toBeGreaterThanOrEqual(times.length / 2);
        }
      }),
      cases(300),
    );
  });
});
