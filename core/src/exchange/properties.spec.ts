import fc from 'fast-check';
import { transcriptOf, type CallScript, type TranscriptEntry } from '../call';
import { groupDefaults, groupId, queueDefaults, queueId, ringingOrders, type Group, type Queue } from '../directory';
import type { PersonId } from '../directory';
import { answering, everybody, hours, message, openMoment } from '../testing/boatyard';
import { membersOf } from '../testing/office';
import { isFreeAt } from './members';
import { simulate, type CallerAct, type SimulatedCaller } from './simulate';
import type { StaffAct } from './virtualLine';
import { callId, newStaff, type CallId, type Exchange } from './state';
import type { ExchangeResult } from './stepExchange';
import { cases } from '../testing/cases';

const desk = groupId.create('desk');
const rush = queueId.create('rush');
const seconds = (min: number, max: number) => fc.integer({ min, max });
const someMembers = fc
  .uniqueArray(fc.constantFrom(...everybody), { minLength: 1, maxLength: 4 })
  .chain((people) =>
    fc
      .tuple(...people.map(() => seconds(1, 2)))
      .map((tiers) => people.map(({ id }, at) => ({ personId: id, tier: tiers[at] ?? 1 }))),
  );

const groups: fc.Arbitrary<Group> = fc.record({
  ...constants({ ...groupDefaults, id: desk, name: 'Front desk' }),
  order: fc.constantFrom(...ringingOrders),
  members: someMembers,
  memberSeconds: seconds(5, 30),
  restSeconds: seconds(0, 40),
  inAllSeconds: fc.option(seconds(5, 90)),
});
const queues: fc.Arbitrary<Queue> = fc.record({
  ...constants({ ...queueDefaults, id: rush, name: 'Rush', entryWords: '', exitKey: '*' as const }),
  order: fc.constantFrom(...ringingOrders),
  members: someMembers,
  memberSeconds: seconds(5, 30),
  restSeconds: seconds(0, 40),
  retrySeconds: seconds(5, 40),
  mostCallers: seconds(1, 6),
  longestWaitSeconds: seconds(10, 240),
  placeEverySeconds: fc.option(seconds(15, 60)),
});

function constants<Fields extends object>(fields: Fields): { [Name in keyof Fields]: fc.Arbitrary<Fields[Name]> } {
  return Object.fromEntries(Object.entries(fields).map(([name, value]) => [name, fc.constant(value)])) as never;
}

const afterMs = seconds(0, 300).map((each) => each * 1000);
const callerAct: fc.Arbitrary<CallerAct> = fc.oneof(
  fc.record({ type: fc.constant('hangUp' as const), afterMs }),
  fc.record({ type: fc.constant('press' as const), key: fc.constantFrom('*' as const, '1' as const), afterMs }),
);
const caller = fc.record({
  atMs: seconds(0, 600).map((each) => openMoment + each * 1000),
  to: fc.constantFrom({ type: 'group' as const, groupId: desk }, { type: 'queue' as const, queueId: rush }),
  acts: fc.array(callerAct, { maxLength: 2 }),
});
const callers = fc.array(caller, { minLength: 1, maxLength: 12 }).map((all) =>
  all.map((each, at): SimulatedCaller => ({
    ...each,
    callId: callId.create(`c${at}`),
    callerNumber: '+12075550178',
  })),
);
const staffAct: fc.Arbitrary<StaffAct> = fc.oneof(
  fc.record({
    type: fc.constant('answer' as const),
    afterMs: seconds(0, 20).map((each) => each * 1000),
    talkMs: seconds(1, 240).map((each) => each * 1000),
  }),
  fc.constant<StaffAct>({ type: 'busy' }),
  fc.constant<StaffAct>({ type: 'noAnswer' }),
);
const office = fc.record({
  group: groups,
  queue: queues,
  callers,
  acts: fc.array(staffAct, { minLength: 1, maxLength: 8 }),
});
type AnyOffice = { group: Group; queue: Queue; callers: readonly SimulatedCaller[]; acts: readonly StaffAct[] };

interface Happened {
  readonly script: CallScript;
  readonly left: Exchange;
  readonly transcripts: ReadonlyMap<CallId, readonly TranscriptEntry[]>;
}

function run({ group, queue, callers: all, acts }: AnyOffice, watch?: (result: ExchangeResult) => void): Happened {
  const script = answering(message, { groups: [group], queues: [queue], hours: [hours] });
  const transcripts = new Map<CallId, TranscriptEntry[]>();
  let asked = 0;
  const left = simulate({
    script,
    callers: all,
    staff: () => acts[asked++ % acts.length] ?? { type: 'noAnswer' },
    mostEvents: 20_000,
    watch: (_, result) => {
      for (const each of result.effects) {
        if (each.type !== 'forCall') continue;
        const before = transcripts.get(each.callId) ?? [];
        transcripts.set(each.callId, [...before, ...transcriptOf([each.effect], result.atMs)]);
      }
      watch?.(result);
    },
  });
  return { script, left, transcripts };
}

const holds = (check: (office: AnyOffice) => void): void => fc.assert(fc.property(office, check), cases(400));

describe('calls that share people, whoever calls and whatever the staff do', () => {
  it('never let two calls have the same person, nor a phone ring for a call that is over', () => {
    holds((any) => {
      const wrong: unknown[] = [];
      run(any, ({ exchange: { calls, staff, queues: lines } }) => {
        for (const [personId, { doing }] of staff) {
          if (doing.type === 'talking' && calls.get(doing.callId)?.talkingTo !== personId) wrong.push(doing);
          if (doing.type !== 'rung') continue;
          const isFor =
            doing.by.type === 'queue' ? lines.get(doing.by.queueId)?.waiting[0] : calls.get(doing.by.callId);
          if (!isFor) wrong.push(doing);
        }
        const talking = [...calls.values()].flatMap(({ talkingTo }) => talkingTo ?? []);
        if (new Set(talking).size !== talking.length) wrong.push(talking);
      });
      expect(wrong).toEqual([]);
    });
  });

  it('answer a queue first come, first served, and let nobody wait past the limit', () => {
    holds((any) => {
      const { transcripts } = run(any);
      const waits = [...transcripts.values()].flatMap((entries) => {
        const queued = entries.find(({ type }) => type === 'queued');
        const left = entries.find((entry) => entry.type === 'leftQueue');
        return queued && left?.type === 'leftQueue' ? [{ fromMs: queued.atMs, toMs: left.atMs, why: left.why }] : [];
      });
      for (const { fromMs, toMs } of waits)
        expect(toMs - fromMs).toBeLessThanOrEqual(any.queue.longestWaitSeconds * 1000);
      const answered = waits.filter(({ why }) => why === 'answered').sort((one, other) => one.fromMs - other.fromMs);
      answered.slice(1).forEach(({ fromMs, toMs }, at) => {
        const before = answered[at];
        if (before && before.fromMs < fromMs) expect(toMs).toBeGreaterThanOrEqual(before.toMs);
      });
    });
  });

  it('leave a member alone for the rest after a call', () => {
    holds((any) => {
      const lastBrought = new Map<CallId, string>();
      let before: Exchange['staff'] = new Map();
      const restUntil = new Map<PersonId, number>();
      run(any, ({ exchange, atMs }) => {
        for (const [personId, { doing }] of exchange.staff) {
          const earlier = (before.get(personId) ?? newStaff).doing;
          if (earlier.type === 'talking' && doing !== earlier) {
            const by = lastBrought.get(earlier.callId);
            const rest = by === desk ? any.group.restSeconds : any.queue.restSeconds;
            restUntil.set(personId, atMs + rest * 1000);
          }
          if (doing.type === 'rung' && doing !== earlier && doing.by.type !== 'call') {
            expect(atMs).toBeGreaterThanOrEqual(restUntil.get(personId) ?? 0);
          }
        }
        for (const { id, broughtBy } of exchange.calls.values()) if (broughtBy) lastBrought.set(id, broughtBy);
        before = exchange.staff;
      });
    });
  });

  it('ring who was longest free, where that is the order', () => {
    holds((any) => {
      const group: Group = { ...any.group, order: 'longestFree' };
      let before: Exchange['staff'] = new Map();
      run({ ...any, group }, ({ exchange, atMs }) => {
        for (const [personId, { doing }] of exchange.staff) {
          if (doing.type !== 'rung' || doing.by.type !== 'group' || doing.sinceMs !== atMs) continue;
          if (doing === before.get(personId)?.doing) continue;
          const hunt = exchange.hunts.get(doing.by.callId);
          const lastCallMs = exchange.staff.get(personId)?.lastCallMs ?? 0;
          for (const member of group.members) {
            const other = exchange.staff.get(member.personId) ?? newStaff;
            if (hunt?.tried.includes(member.personId) || hunt?.declined.includes(member.personId)) continue;
            if (isFreeAt(other, atMs)) expect(lastCallMs).toBeLessThanOrEqual(other.lastCallMs);
          }
        }
        before = exchange.staff;
      });
    });
  });

  it('bring every caller somewhere, once, and leave nothing behind', () => {
    holds((any) => {
      const { left, transcripts } = run(any);
      expect(left.calls.size).toBe(0);
      expect(left.hunts.size).toBe(0);
      expect([...left.queues.values()].flatMap(({ waiting }) => waiting)).toEqual([]);
      expect([...left.staff.values()].filter(({ doing }) => doing.type !== 'nothing')).toEqual([]);
      expect(transcripts.size).toBe(any.callers.length);
      for (const entries of transcripts.values()) {
        expect(entries.filter(({ type }) => type === 'ended')).toHaveLength(1);
        expect(entries.at(-1)?.type).toBe('ended');
      }
    });
  });

  it('happen the same way again', () => {
    holds((any) => expect(run(any)).toEqual(run(any)));
  });

  it('take turns fairly: to within one call, while everybody is free', () => {
    const calls = fc.record({ members: fc.integer({ min: 1, max: 5 }), calls: fc.integer({ min: 1, max: 30 }) });
    fc.assert(
      fc.property(calls, ({ members, calls: count }) => {
        const people = everybody.slice(0, members);
        const group: Group = {
          ...groupDefaults,
          id: desk,
          name: 'Desk',
          order: 'takingTurns',
          members: membersOf(...people),
        };
        const firsts = new Map<PersonId, number>(people.map(({ id }) => [id, 0]));
        const to = { type: 'group' as const, groupId: desk };
        const apart = Array.from({ length: count }, (_, at): SimulatedCaller => ({
          callId: callId.create(`c${at}`),
          atMs: openMoment + at * 60_000,
          callerNumber: 'anonymous',
          acts: [],
          to,
        }));
        simulate({
          script: answering(message, { groups: [group], hours: [hours] }),
          callers: apart,
          staff: (phone) => {
            if (phone.type === 'person') firsts.set(phone.personId, (firsts.get(phone.personId) ?? 0) + 1);
            return { type: 'answer', afterMs: 1000, talkMs: 10_000 };
          },
        });
        const counts = [...firsts.values()];
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
      }),
    );
  });
});
