import fc from 'fast-check';
import { outcomes } from '../call';
import { groupId, personId, type E164 } from '../directory';
import { sheetId } from '../line';
import { cases } from '../testing/cases';
import { Most, readDay, readVisits, sumsOf, writeDay, writeVisits, type DayCall, type PressedSum } from '.';

const outside = fc.record({
  number: fc.constantFrom('+12075550161' as E164, '+12075550162' as E164),
  forMs: fc.nat(600_000),
});
const sheet = fc.constantFrom(sheetId.create('welcome'), sheetId.create('repairs'));
const choice = fc.constantFrom('1', '*', 'hungUp', 'nothing');
const call = fc.record({
  minute: fc.nat(1439),
  outcome: fc.constantFrom(...outcomes),
  toPersonMs: fc.option(fc.nat(400_000)),
  lengthMs: fc.nat(3_600_000),
  way: fc.constantFrom(null, groupId.create('desk'), personId.create('noor'), '+12075550161'),
  firstSheetId: fc.option(sheet),
  firstChoice: fc.option(choice),
  outside: fc.array(outside, { maxLength: 2 }),
}) as fc.Arbitrary<DayCall>;
const visit = fc.record({
  sheetId: sheet,
  choice,
  second: fc.option(fc.nat(300)),
  visits: fc.integer({ min: 1, max: 90 }),
}) as fc.Arbitrary<PressedSum>;

/** As a text in the database keeps it. */
const kept = <Of>(of: Of): Of => JSON.parse(JSON.stringify(of)) as Of;

describe('the calls of a day', () => {
  it('are read back as they were written, whatever they are', () => {
    fc.assert(
      fc.property(fc.array(call, { maxLength: 30 }), fc.array(visit, { maxLength: 30 }), (calls, visits) => {
        expect(readDay(kept(writeDay(calls)))).toEqual(calls);
        expect(readVisits(kept(writeVisits(visits)))).toEqual(visits);
      }),
      cases(200),
    );
  });

  it('tell each name once', () => {
    const [one] = fc.sample(call, { numRuns: 1, seed: 1 });
    const named = { ...one!, outcome: 'answered', way: personId.create('noor'), outside: [] } as const;
    const { names } = writeDay([named, named, named]);
    expect(names.filter((name) => name === named.way)).toHaveLength(1);
  });

  it('are summed by hour of the week and by day, of several lines together', () => {
    const at = (minute: number, outcome: DayCall['outcome'] = 'answered') => ({ minute, outcome }) as DayCall;
    // 5 January 1970 was a Monday.
    const days = [
      { day: 4, calls: [at(60), at(119, 'missed')] },
      { day: 11, calls: [at(60)] },
      { day: 4, calls: [at(61)] },
    ];
    expect(sumsOf(days)).toEqual({
      byHour: [
        { weekday: 1, hour: 1, outcome: 'answered', calls: 3 },
        { weekday: 1, hour: 1, outcome: 'missed', calls: 1 },
      ],
      byDay: [
        { day: 4, outcome: 'answered', calls: 2 },
        { day: 4, outcome: 'missed', calls: 1 },
        { day: 11, outcome: 'answered', calls: 1 },
      ],
    });
    expect(sumsOf([])).toEqual({ byHour: [], byDay: [] });
  });
});

describe('the few that have the most', () => {
  it('are the first of a sorted list, of several alike those that came first', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(9), { maxLength: 30 }), (all) => {
        const most = new Most<string>(3);
        all.forEach((much, at) => {
          most.add(much, () => `${String(at)}: ${String(much)}`);
        });
        const sorted = all.map((much, at) => ({ much, at })).sort((one, other) => other.much - one.much);
        expect(most.all()).toEqual(sorted.slice(0, 3).map(({ much, at }) => `${String(at)}: ${String(much)}`));
      }),
      cases(200),
    );
  });
});
