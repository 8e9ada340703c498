import type { CallScript } from '../call';
import { queueDefaults, type Queue } from '../directory';
import { callId } from '../exchange';
import { dayNumber, weekdayOf } from '../hours';
import { applyEdit, type Path } from '../line';
import {
  answering,
  attendant,
  launchQueue,
  message,
  moorings,
  noor,
  priya,
  rosalind,
  script,
  wendell,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import { membersOf } from '../testing/office';
import { chanceFrom, exponential, waitingWith, type Visit } from '../traffic';
import { tryPlan, type Change, type LoggedCaller, type Trial, type Tried } from '.';

const monday = dayNumber(2026, 11, 2);
const span = { from: monday, to: monday + 27 };
let made = 0;

function caller(changes: Partial<LoggedCaller> = {}): LoggedCaller {
  made += 1;
  return {
    ...{ callId: callId.create(`log-${made}`), day: monday, minute: 600, number: '+12075550100', outcome: 'answered' },
    ...{ visits: [], waits: [], rings: [], talkMs: 60_000 },
    ...changes,
  };
}
const visit = (changes: Partial<Visit> = {}): Visit => ({
  ...{ sheetId: welcomeId, choice: '1', afterMs: 5000, isFirstRound: true, wrongKeys: 0, silences: 0 },
  ...changes,
});

/** The same callers on each day of four weeks. */
const everyDay = (of: (day: number) => readonly LoggedCaller[]): readonly LoggedCaller[] =>
  Array.from({ length: 28 }, (_, index) => of(monday + index)).flat();

function tried(changes: Partial<Trial> & Pick<Trial, 'script' | 'callers'>): Tried {
  const trial: Trial = {
    ...{ other: changes.script, changes: [], span, withinS: 20, charges: null, runs: 5, seed: 7 },
    ...changes,
  };
  const trying = tryPlan(trial);
  for (;;) {
    const next = trying.next();
    if (next.done) return next.value;
  }
}

/** Somebody who answers at once, whenever they are rung. */
const quick = { forMs: 10, end: 'answered' } as const;
const rings = [noor, priya, wendell].flatMap(({ id }) =>
  Array.from({ length: 25 }, () => ({ ...quick, who: id, through: launchQueue.id })),
);

describe('a queue that callers come to at random', () => {
  const queue: Queue = {
    ...queueDefaults,
    ...{ id: launchQueue.id, name: 'Any', members: membersOf(priya, wendell, noor), entryWords: '' },
    ...{ mostCallers: 200, longestWaitSeconds: 3600, placeEverySeconds: null, exitKey: null },
  };
  const inQueue: Path = [{ type: 'waitInQueue', queueId: queue.id }];
  const office: CallScript = { ...answering(inQueue), queues: [queue], people: [noor, priya, wendell] };
  const callsPerHour = 36;
  const servedS = 180;
  const chance = chanceFrom(3);
  const callers = everyDay((day) =>
    Array.from({ length: 24 * callsPerHour }, (_, index) =>
      caller({
        day,
        minute: Math.floor(chance() * 1440),
        talkMs: Math.round(exponential(chance, servedS * 1000)),
        rings: index === 0 ? rings : [{ ...quick, who: noor.id, through: queue.id }],
      }),
    ),
  );

  it.each([3, 4])('has callers wait as Erlang C says with %i members, within its interval and a little', (members) => {
    const result = tried({
      script: { ...office, queues: [{ ...queue, members: queue.members.slice(0, 3) }] },
      callers,
      // A week: 6,048 callers.
      span: { from: monday, to: monday + 6 },
      runs: 1,
      changes: members === 4 ? [{ type: 'moreMembers', of: queue.id, who: null, on: [] }] : [],
      withinS: 60,
    });
    const expected = waitingWith({ callsPerHour, servedS, patienceS: null }, members);
    const within = result.within.after;
    expect(within.mean).toBeGreaterThan(expected.within(60) - 0.02);
    expect(within.mean).toBeLessThan(expected.within(60) + 0.02);
    expect(result.reached.after.mean).toBeCloseTo(1, 2);
  });
});

describe('the trial of a plan', () => {
  const ringMoorings: Path = [
    { type: 'ringGroup', groupId: moorings.id, seconds: 20, before: '', hear: { type: 'ringback' } },
    ...message,
  ];
  const together = { ...moorings, order: 'allAtOnce' } as const;
  const office: CallScript = { ...answering(ringMoorings), groups: [together], queues: [launchQueue] };
  /** One answers in 5 s, the other never. */
  const ringsOf = (index: number) =>
    index % 2 === 0
      ? [{ who: priya.id, through: moorings.id, forMs: 5000, end: 'answered' as const }]
      : [{ who: wendell.id, through: moorings.id, forMs: 18_000, end: 'letRing' as const }];
  const callers = everyDay((day) =>
    Array.from({ length: 24 }, (_, index) =>
      caller({ day, minute: 480 + index * 20, rings: ringsOf(index), talkMs: 120_000 }),
    ),
  );
  const tryWith = (...changes: readonly Change[]) => tried({ script: office, callers, changes });

  it('changes nothing where nothing is changed, to the last caller', () => {
    const result = tryWith();
    expect(result.calls).toMatchObject({ before: { mean: 24 * 28 }, after: { mean: 24 * 28 }, change: { mean: 0 } });
    expect(result.reached.change).toEqual({ mean: 0, between: { low: 0, high: 0 } });
    expect([result.days, result.runs]).toEqual([28, 5]);
  });

  it('is the same for the same seed, and another for another', () => {
    const change: Change = { type: 'calls', percent: 20, on: [] };
    const once = tryWith(change);
    expect(tryWith(change)).toEqual(once);
    expect(tried({ script: office, callers, changes: [change], seed: 8 })).not.toEqual(once);
  });

  it('tells of more calls and of fewer, on the days that they are meant for', () => {
    const double = tryWith({ type: 'calls', percent: 100, on: [] });
    expect(double.calls.after.mean).toBe(2 * 24 * 28);
    const none = tryWith({ type: 'calls', percent: -90, on: [6] });
    const of = (weekday: number) => none.byWeekday.find((each) => each.weekday === weekday);
    expect(of(5)?.calls.change.mean).toBe(0);
    expect(of(6)?.calls.after.mean).toBeLessThan(0.25 * (of(6)?.calls.before.mean ?? 0));
  });

  it('loses callers to the box when the only one who answers is away, that day and no other', () => {
    const result = tryWith({ type: 'away', who: priya.id, on: [5] });
    const of = (weekday: number) => result.byWeekday.find((each) => each.weekday === weekday);
    expect(of(5)?.reached.before.mean).toBeGreaterThan(0.3);
    expect(of(5)?.reached.after.mean).toBe(0);
    expect(of(4)?.reached.change.mean).toBe(0);
    expect(result.message.after.mean).toBeGreaterThan(result.message.before.mean);
    const busy = result.busy.find(({ who }) => who === priya.id);
    expect(busy?.aDayMs.change.mean).toBeLessThan(0);
  });

  it('reaches more with one more member, fewer with one less, and all of them in its interval', () => {
    const more = tryWith({ type: 'moreMembers', of: moorings.id, who: null, on: [] });
    expect(more.reached.change.between.low).toBeGreaterThan(0);
    const fewer = tryWith({ type: 'fewerMembers', of: moorings.id, who: priya.id, on: [] });
    expect(fewer.reached.change.between.high).toBeLessThan(0);
    const { low, high } = more.reached.after.between;
    expect(low).toBeLessThanOrEqual(more.reached.after.mean);
    expect(high).toBeGreaterThanOrEqual(more.reached.after.mean);
  });

  it('lets them wait in a queue where they were rung in a group', () => {
    const result = tryWith({ type: 'queueForGroup', of: moorings.id, on: [] });
    expect(result.waitedMs?.before.mean).toBe(0);
    expect(result.waitedMs?.after.mean).toBeGreaterThan(0);
    expect(result.reached.change.mean).toBeGreaterThan(0);
  });

  it('costs what the rate card says of the longer calls', () => {
    const card = { from: '2026-01-01', rent: 9e6, includedMinutes: 0, perMinuteIn: 1e6, perMinuteOut: 0, outside: [] };
    const cards = [{ ...card, lines: [], stepSeconds: 60, taxPercent: 0 }];
    const charges = { rates: { currency: 'USD', cards }, lines: [{ lineId: office.lineId, numbers: 1 }] };
    const change: Change = { type: 'fewerMembers', of: moorings.id, who: priya.id, on: [] };
    const { cost } = tried({ script: office, callers, changes: [change], charges });
    expect(cost?.before.mean).toBeGreaterThan(0);
    expect(cost?.change.mean).not.toBe(0);
    expect(tryWith(change).cost).toBeNull();
  });

  it('says nothing, and nothing infinite, of an empty log, one call, or days without any', () => {
    for (const some of [[], callers.slice(0, 1)]) {
      const result = tried({ script: office, callers: some, changes: [{ type: 'calls', percent: 300, on: [] }] });
      expect(JSON.stringify(result)).not.toMatch(/null,"low"|NaN|Infinity/);
      expect(Number.isFinite(result.within.after.mean)).toBe(true);
    }
    const later = { from: span.to + 100, to: span.to + 120 };
    expect(tried({ script: office, callers, span: later }).calls.after.mean).toBe(0);
  });
});

describe('callers of a menu', () => {
  const office: CallScript = { ...script, people: [noor, priya, wendell, rosalind] };
  const open = (day: number) => weekdayOf(day) <= 5;
  const callers = everyDay((day) =>
    open(day)
      ? Array.from({ length: 20 }, (_, index) => {
          const choice = index < 12 ? '1' : index < 16 ? 'hungUp' : 'nothing';
          return caller({
            day,
            minute: 540 + index * 20,
            visits: [visit({ choice, silences: choice === 'nothing' ? 2 : 0 })],
            rings: choice === '1' ? [{ who: priya.id, through: null, forMs: 4000, end: 'answered' as const }] : [],
            outcome: choice === '1' ? 'answered' : choice === 'hungUp' ? 'gaveUpInMenu' : 'letGo',
            talkMs: choice === '1' ? 60_000 : 0,
          });
        })
      : [],
  );

  it('do again what they did', () => {
    const { reached, gaveUp } = tried({ script: office, callers });
    // Who presses nothing is rung through as well.
    expect(reached.before.mean).toBeGreaterThan(0.75);
    expect(reached.before.mean).toBeLessThanOrEqual(0.8);
    expect(gaveUp.before.mean).toBeCloseTo(0.2, 1);
  });

  it('find what they want on the key where it is now', () => {
    const moved = applyEdit(attendant, { type: 'moveKey', sheetId: welcomeId, from: '1', to: '5' });
    const { reached } = tried({ script: office, callers, other: { ...withAttendant(moved), people: office.people } });
    expect(reached.change.mean).toBe(0);
  });

  it('choose alike in a menu nobody has been to, which is said', () => {
    const few = callers.slice(0, 40).map((each) => ({ ...each, visits: [] }));
    const { unknownMenus } = tried({ script: office, callers: few, runs: 1 });
    expect(unknownMenus).toContain('Welcome');
  });
});
