import fc from 'fast-check';
import { callId } from '../exchange';
import { dayNumber, hoursId, weekdayOf } from '../hours';
import { launchQueue, moorings, noor, open, priya, script, wendell } from '../testing/boatyard';
import { cases } from '../testing/cases';
import { waitingWith, membersFor, type Demand } from '../traffic';
import {
  describePlan,
  describeTried,
  membersNeeded,
  playHour,
  readChanges,
  tryPlan,
  type Change,
  type LoggedCaller,
} from '.';

const monday = dayNumber(2026, 11, 2);
const days = Array.from({ length: 14 }, (_, index) => monday + index);

/** Somebody who waited in the queue and talked for so long, at 9 of a day. */
function caller(day: number, talkS: number, more: Partial<LoggedCaller> = {}): LoggedCaller {
  return {
    ...{ callId: callId.create(`${day}-${talkS}`), day, minute: 555, number: '', outcome: 'answered', visits: [] },
    waits: [{ queueId: launchQueue.id, waitedMs: 5000, end: 'answered' }],
    rings: [{ who: noor.id, through: launchQueue.id, forMs: 5000, end: 'answered' }],
    talkMs: talkS * 1000,
    ...more,
  };
}

describe('members needed hour by hour', () => {
  const office = { ...script, queues: [launchQueue], groups: [moorings], people: [noor, priya, wendell] };
  const rush = days
    .filter((day) => weekdayOf(day) === 1)
    .flatMap((day) => Array.from({ length: 30 }, () => caller(day, 295)));
  const target = { share: 0.8, withinS: 20 };

  it('are those of Erlang for what comes in such an hour, beside who is at work', () => {
    const [hour, ...others] = membersNeeded(office, launchQueue.id, rush, days, target);
    expect(others).toEqual([]);
    expect(hour).toMatchObject({ weekday: 1, hour: 9, there: 3, isShort: true });
    // Thirty calls in each of the two Mondays' hours, each for 300 s: 2.5 at a time.
    const demand: Demand = { callsPerHour: 30, servedS: 300, patienceS: null };
    expect(hour?.demand).toEqual(demand);
    expect(hour?.needed).toBe(membersFor(demand, target));
  });

  it('count who works at that hour of those days', () => {
    const night = {
      id: hoursId.create('night'),
      name: 'Night',
      periods: [open],
      week: [],
      datedWeeks: [],
      seasons: [],
      special: [],
    };
    const part = { ...office, people: [{ ...noor, hoursId: night.id }, priya, wendell], hours: [night] };
    expect(membersNeeded(part, launchQueue.id, rush, days, target)[0]?.there).toBe(2);
  });

  it('of a group are so many that callers find somebody free', () => {
    const inGroup = rush.map((each) => ({
      ...each,
      waits: [],
      rings: [{ who: priya.id, through: moorings.id, forMs: 5000, end: 'answered' as const }],
    }));
    // Erlang B of 2.5 with 4 members loses 15 %, with 3 a good 28 %.
    expect(membersNeeded(office, moorings.id, inGroup, days, target)[0]?.needed).toBe(4);
  });

  it('are none where nobody came, and no number for everybody at once', () => {
    expect(membersNeeded(office, launchQueue.id, [], days, target)).toEqual([]);
    expect(membersNeeded(office, 'queue:gone' as never, rush, days, target)).toEqual([]);
    expect(membersNeeded(office, launchQueue.id, rush, days, { share: 1, withinS: 0 })[0]?.needed).toBeNull();
  });
});

describe('an hour that is played through', () => {
  it.each<[Demand, number]>([
    [{ callsPerHour: 40, servedS: 240, patienceS: null }, 4],
    [{ callsPerHour: 40, servedS: 240, patienceS: 120 }, 3],
    [{ callsPerHour: 6, servedS: 300, patienceS: 60 }, 1],
  ])('comes to what Erlang says of %j with %i members', (demand, members) => {
    const played = playHour(script, demand, members, 30, 160, 11);
    const formula = waitingWith(demand, members);
    // The interval, and a little for the hour that came before it.
    for (const [is, says] of [
      [played.within, formula.within(30)],
      [played.gaveUp, formula.gaveUp],
    ] as const) {
      expect(says).toBeGreaterThan(is.between.low - 0.02);
      expect(says).toBeLessThan(is.between.high + 0.02);
    }
  });

  it('is the same for the same seed; of no calls nobody waits', () => {
    const demand: Demand = { callsPerHour: 20, servedS: 100, patienceS: 60 };
    expect(playHour(script, demand, 1, 20, 5, 3)).toEqual(playHour(script, demand, 1, 20, 5, 3));
    expect(playHour(script, { ...demand, callsPerHour: 0 }, 1, 20, 2, 3).within.mean).toBe(1);
  });
});

describe('a plan in an address', () => {
  const changes: readonly Change[] = [
    { type: 'calls', percent: -20, on: [6] },
    { type: 'moreMembers', of: launchQueue.id, who: null, on: [] },
    { type: 'seconds', of: moorings.id, what: 'restSeconds', to: 30, on: [] },
    { type: 'open', fromMin: 480, toMin: 1080, on: [6, 7] },
  ];

  it('is read as it was written', () => expect(readChanges(JSON.stringify(changes))).toEqual(changes));

  it('leaves out what makes no sense, and never fails', () => {
    const nonsense = [
      { type: 'calls', percent: 1e9, on: [] },
      { type: 'calls', percent: 5, on: [8] },
      { type: 'away', who: 'queue:launch', on: [] },
      { type: 'open', fromMin: 600, toMin: 600, on: [] },
      { type: 'seconds', of: launchQueue.id, what: 'memberSeconds', to: 3000, on: [] },
      { type: 'explode' },
      null,
    ];
    expect(readChanges(JSON.stringify([...nonsense, changes[0]]))).toEqual([changes[0]]);
    expect([readChanges('{'), readChanges('{}'), readChanges(null), readChanges('7')]).toEqual([[], [], [], []]);
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(Array.isArray(readChanges(text))).toBe(true);
      }),
      cases(200),
    );
  });
});

describe('what was tried, in words', () => {
  const names = { [launchQueue.id]: 'Launch line', [moorings.id]: 'Moorings', [noor.id]: 'Noor Haldane' };
  const plan = (isDraft: boolean, ...changes: Change[]) => describePlan(isDraft, changes, names);

  it('begins with the plan', () => {
    expect(plan(false, { type: 'moreMembers', of: launchQueue.id, who: null, on: [6] })).toBe(
      'With one more member in Launch line on Saturdays',
    );
    expect(
      plan(
        true,
        { type: 'calls', percent: 20, on: [] },
        { type: 'away', who: noor.id, on: [5] },
        { type: 'queueForGroup', of: moorings.id, on: [1, 2, 3, 4, 5] },
      ),
    ).toBe(
      'With the draft, with 20% more calls, with Noor Haldane away on Fridays and with a queue instead of the group Moorings on weekdays',
    );
    expect(plan(false, { type: 'open', fromMin: 480, toMin: 1080, on: [6, 7] })).toBe(
      'Open from 8:00 to 18:00 on Saturdays and Sundays',
    );
    expect(plan(false, { type: 'seconds', of: launchQueue.id, what: 'longestWaitSeconds', to: 90, on: [] })).toBe(
      'With callers waiting in Launch line for at most 90 s',
    );
  });

  const tried = (...changes: Change[]) => {
    const ringing = { type: 'ringGroup', groupId: moorings.id, seconds: 30, before: '' } as const;
    const path = [{ ...ringing, hear: { type: 'ringback' } as const }];
    const [line] = script.lines;
    const office = {
      ...script,
      lines: line ? [{ ...line, attendant: { ...line.attendant, answering: { rules: [], otherwise: path } } }] : [],
      groups: [moorings],
    };
    const callers = days.flatMap((day) =>
      Array.from({ length: 12 }, (_, index) =>
        caller(day, 60 + index, {
          minute: 600 + index * 10,
          waits: [],
          rings: [
            { who: priya.id, through: moorings.id, forMs: 4000, end: index % 3 === 0 ? 'letRing' : 'answered' },
            { who: wendell.id, through: moorings.id, forMs: 25_000, end: 'letRing' },
          ],
        }),
      ),
    );
    const trying = tryPlan({
      ...{ script: office, other: office, changes, callers, span: { from: monday, to: monday + 13 } },
      ...{ withinS: 20, charges: null, runs: 6, seed: 2 },
    });
    for (;;) {
      const next = trying.next();
      if (next.done) return next.value;
    }
  };

  it('says what changes for callers, and that nothing does where it is so', () => {
    const away: Change = { type: 'away', who: priya.id, on: [6] };
    const saturday = describeTried(tried(away), 'With Priya away on Saturdays', 6, null);
    expect(saturday).toMatch(
      /^With Priya away on Saturdays, .*\d+% of callers reach somebody instead of \d+%; what it costs is not known without a rate card\.$/,
    );
    const same = describeTried(tried({ type: 'calls', percent: 0, on: [] }), 'With 0% more calls', null, 'USD');
    expect(same).toMatch(/^With 0% more calls, nothing changes for callers that could be told from chance/);
  });
});
