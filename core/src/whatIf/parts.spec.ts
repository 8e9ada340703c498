import { groupId, personId, type QueueId } from '../directory';
import { callId } from '../exchange';
import { sheetId, type Key, type Option } from '../line';
import { answering, launchQueue, message, moorings, noor, priya } from '../testing/boatyard';
import { meanOf, plannedOn, queueInPlaceOf, studentT, type Change, type LoggedCaller } from '.';
import { chanceOf } from './chance';
import { drawAnswer, drawTalk, learnHabits } from './habits';
import { pooledShare } from './meanOf';
import { meantKey } from './meantKey';
import { drawPatience, learnWaiting } from './waiting';

describe('chance', () => {
  it('is the same for the same, another for another, and even', () => {
    expect(chanceOf(1, 'a', 2)).toBe(chanceOf(1, 'a', 2));
    const all = Array.from({ length: 20_000 }, (_, index) => chanceOf(5, index, 'x'));
    expect(new Set(all).size).toBeGreaterThan(19_900);
    expect(Math.min(...all)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...all)).toBeLessThan(1);
    const tenths = Array.from({ length: 10 }, (_, at) => all.filter((each) => Math.floor(each * 10) === at).length);
    for (const count of tenths) expect(Math.abs(count - 2000)).toBeLessThan(200);
  });
});

describe('a mean over runs', () => {
  it('lies in its interval, which is that of Student', () => {
    // Of 1, 2 and 3: the mean is 2, its error 1 / sqrt(3), and t with 2 degrees of freedom 4.303.
    const { mean, between } = meanOf([1, 2, 3]);
    expect(mean).toBe(2);
    expect(between.high).toBeCloseTo(2 + 4.303 / Math.sqrt(3), 3);
    expect(meanOf([])).toEqual({ mean: 0, between: { low: 0, high: 0 } });
    expect(meanOf([4])).toEqual({ mean: 4, between: { low: 4, high: 4 } });
  });

  it('of shares is that of all together, however unlike the runs', () => {
    const runs = [...Array.from({ length: 30 }, () => ({ part: 9, all: 10 })), { part: 0, all: 100 }];
    const { mean, between } = pooledShare(runs);
    expect(mean).toBeCloseTo(270 / 400, 10);
    expect(between.low).toBeLessThan(mean);
    expect(between.high).toBeGreaterThan(mean);
    expect(pooledShare([{ part: 0, all: 0 }]).mean).toBe(1);
    expect(pooledShare([{ part: 1, all: 4 }]).between).toEqual({ low: 0.25, high: 0.25 });
  });

  it.each([
    [1, 12.706],
    [2, 4.303],
    [3, 3.182],
    [4, 2.776],
    [5, 2.571],
    [10, 2.228],
    [30, 2.042],
    [1000, 1.962],
  ])('has t of the tables for %i degrees of freedom', (freedom, t) =>
    expect(Math.abs(studentT(freedom) - t) / t).toBeLessThan(0.005),
  );
});

describe('patience', () => {
  it('is that of the sample: half give up by its middle, and whoever waited has more than they waited', () => {
    const model = learnWaiting(
      Array.from({ length: 400 }, (_, index) => ({
        waitedMs: -60_000 * Math.log(1 - (index + 0.5) / 400),
        gaveUp: true,
      })),
    );
    expect(drawPatience(model, 0, 0.5)).toBeGreaterThan(38_000);
    expect(drawPatience(model, 0, 0.5)).toBeLessThan(45_000);
    expect(drawPatience(model, 90_000, 0)).toBeCloseTo(90_000, 0);
    expect(drawPatience(model, 90_000, 0.9)).toBeGreaterThan(150_000);
  });

  it('has no end where too few gave up to tell', () => {
    expect(drawPatience(learnWaiting([{ waitedMs: 5000, gaveUp: true }]), 0, 0.99)).toBe(Infinity);
    expect(drawPatience(learnWaiting([]), 0, 0.5)).toBe(Infinity);
  });
});

describe('what callers and staff do', () => {
  const caller = (changes: Partial<LoggedCaller>): LoggedCaller => ({
    ...{ callId: callId.create('x'), day: 1, minute: 1, number: '', outcome: 'answered' },
    ...{ visits: [], waits: [], rings: [], talkMs: 0 },
    ...changes,
  });
  const ring = (forMs: number, end: 'answered' | 'declined' | 'letRing' | 'stopped') => ({
    ...{ who: noor.id, through: null, forMs, end },
  });

  it('is learned of how phones rang: a phone that another stopped might have been answered', () => {
    const rings = [
      ...Array.from({ length: 10 }, () => ring(2000, 'answered')),
      ...Array.from({ length: 10 }, () => ring(2500, 'stopped')),
      ...Array.from({ length: 5 }, () => ring(6000, 'answered')),
      ...Array.from({ length: 5 }, () => ring(18_000, 'letRing')),
      ...Array.from({ length: 10 }, () => ring(0, 'declined')),
    ];
    const habit = learnHabits([caller({ rings })]).answering.get(noor.id);
    if (!habit) throw new Error('thirty rings tell enough');
    expect(drawAnswer(habit, 0.2, 0)).toBe('declines');
    expect(drawAnswer(habit, 0.3, 0)).toBe(2000);
    // A third answer by 2 s; of the ten whose phone rang on half answer by 6 s, and half never.
    expect(drawAnswer(habit, 0.9, 0.5)).toBe(6000);
    expect(drawAnswer(habit, 0.9, 0.7)).toBeNull();
  });

  it('is that of all where one was rung too rarely, and something usual where nobody was', () => {
    const habits = learnHabits([caller({ rings: [ring(3000, 'answered')], talkMs: 5000 })]);
    expect(habits.answering.size).toBe(0);
    expect(drawAnswer(habits.anybody, 0.5, 0.5)).toBe(3000);
    expect(drawTalk(habits, [noor.id], 0.99)).toBe(5000);
    const nothing = learnHabits([]);
    expect(drawAnswer(nothing.anybody, 0, 0)).toBeGreaterThan(0);
    expect(drawTalk(nothing, [], 0)).toBeGreaterThan(0);
    expect(nothing.leaveMessage).toBeGreaterThan(0);
  });

  it('is learned of queues, each by itself', () => {
    const queue = 'queue:a' as QueueId;
    const waits = Array.from({ length: 9 }, (_, index) => ({
      ...{ queueId: queue, waitedMs: 10_000 + index * 1000 },
      end: index < 6 ? ('hungUp' as const) : ('answered' as const),
    }));
    const model = learnHabits([caller({ waits })]).inQueue.get(queue);
    expect(model).toMatchObject({ gaveUp: 6, waits: 9 });
    expect(model?.weibull).not.toBeNull();
  });
});

describe('the key that is meant', () => {
  const option = (key: Key, label: string, ...path: Option['path']): Option => ({ key, label, path, readOut: true });
  const ring = { type: 'goTo', sheetId: sheetId.create('a') } as const;
  const other = { type: 'goTo', sheetId: sheetId.create('b') } as const;
  const before = [option('1', 'sales', ring), option('2', 'repairs', other)];

  it('is the same one while it is for the same', () => {
    expect(meantKey('1', before, before)).toBe('1');
    expect(meantKey('1', before, [option('1', 'sales', other)])).toBe('1');
    expect(meantKey('1', before, [option('1', 'Anything', ring)])).toBe('1');
  });

  it('is where the same is done, or said, now', () => {
    expect(meantKey('1', before, [option('1', 'repairs', other), option('2', 'sales', ring)])).toBe('2');
    expect(meantKey('1', before, [option('7', 'sales', other)])).toBe('7');
  });

  it('is none where what they want is gone', () => {
    expect(meantKey('2', before, [option('2', 'news', ring)])).toBeNull();
    expect(meantKey('9', null, [option('1', 'sales', ring)])).toBeNull();
    expect(meantKey('1', null, [option('1', 'sales', ring)])).toBe('1');
  });
});

describe('a plan', () => {
  const office = {
    ...answering([
      { type: 'ringGroup', groupId: moorings.id, seconds: null, before: '', hear: { type: 'ringback' } },
      ...message,
    ]),
    groups: [moorings],
    queues: [launchQueue],
  };
  const on = (change: Change, weekday: 1 | 6 = 1) => plannedOn(office, [change], weekday);

  it('holds on its weekdays, and on all where none is named', () => {
    expect(on({ type: 'calls', percent: 50, on: [6] }, 1).callsShare).toBe(1);
    expect(on({ type: 'calls', percent: 50, on: [6] }, 6).callsShare).toBe(1.5);
    expect(on({ type: 'calls', percent: -20, on: [] }).callsShare).toBe(0.8);
    expect(on({ type: 'away', who: noor.id, on: [] }).away).toEqual([noor.id]);
  });

  it('adds members, colleagues or somebody new, and takes them away', () => {
    const members = (change: Change) => on(change).script.groups[0]?.members.map(({ personId }) => personId);
    expect(members({ type: 'moreMembers', of: moorings.id, who: noor.id, on: [] })?.at(-1)).toBe(noor.id);
    expect(members({ type: 'moreMembers', of: moorings.id, who: priya.id, on: [] })).toHaveLength(2);
    const fresh = on({ type: 'moreMembers', of: moorings.id, who: null, on: [] }).script;
    expect(fresh.people).toHaveLength(office.people.length + 1);
    expect(fresh.groups[0]?.members.at(-1)?.personId).toBe(fresh.people.at(-1)?.id);
    expect(members({ type: 'fewerMembers', of: moorings.id, who: priya.id, on: [] })).not.toContain(priya.id);
  });

  it('changes seconds, limits and hours', () => {
    const { script: changed } = on({ type: 'seconds', of: launchQueue.id, what: 'longestWaitSeconds', to: 99, on: [] });
    expect(changed.queues[0]?.longestWaitSeconds).toBe(99);
    expect(on({ type: 'mostCallers', of: launchQueue.id, to: 3, on: [] }).script.queues[0]?.mostCallers).toBe(3);
    const opened = on({ type: 'open', fromMin: 420, toMin: 1200, on: [] }).script.lines[0]?.hours;
    const first = opened?.periods[0]?.id;
    expect(opened?.week.filter(({ periodId: of }) => of === first)).toHaveLength(7);
    expect(opened?.week.filter(({ periodId: of }) => of === first)[0]).toMatchObject({ startMin: 420, endMin: 1200 });
  });

  it('puts a queue where the group was, everywhere, with the same members and way out', () => {
    const withOwn = {
      ...office,
      lines: office.lines.map((line) => ({
        ...line,
        attendant: { ...line.attendant, fallbacks: [{ type: 'group', groupId: moorings.id, path: message } as const] },
      })),
    };
    const { script: changed } = plannedOn(withOwn, [{ type: 'queueForGroup', of: moorings.id, on: [] }], 1);
    const queue = changed.queues.at(-1);
    expect([queue?.id, queue?.members]).toEqual([queueInPlaceOf(moorings.id), moorings.members]);
    expect(JSON.stringify(changed.lines)).not.toContain('"ringGroup"');
    const ways = changed.lines[0]?.attendant.fallbacks.filter(({ type }) => type === 'queue');
    expect(ways?.map(({ path }) => path)).toEqual([message, message, message, message]);
  });

  it('leaves all as it is where what it speaks of is gone', () => {
    const gone = groupId.create('gone');
    expect(on({ type: 'queueForGroup', of: gone, on: [] }).script).toBe(office);
    const { script: changed } = on({ type: 'fewerMembers', of: moorings.id, who: personId.create('gone'), on: [] });
    expect(changed.groups[0]?.members).toEqual(moorings.members);
  });
});
