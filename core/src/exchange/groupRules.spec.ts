import fc from 'fast-check';
import { transcriptOf } from '../call';
import { groupDefaults, groupId, ringingOrders, type Group, type PersonId } from '../directory';
import { answering, everybody, hours, message, openMoment } from '../testing/boatyard';
import { simulate } from './simulate';
import type { StaffAct } from './virtualLine';
import { callId } from './state';
import { cases } from '../testing/cases';

/**
 * The rules of a ring group told a second time: no events and effects, only a list of calls and a list of members, and
 * whatever is due next. Nothing happens in the same millisecond for two calls: each arrives in one of its own, and
 * everything else lasts whole seconds, or half a second more where somebody picks up.
 */
type Ending = { readonly by: PersonId; readonly atMs: number } | { readonly by: null; readonly atMs: number };

interface Member {
  readonly id: PersonId;
  readonly tier: number;
  /** The call that rings or has them; null when there is none. */
  call: Call | null;
  isTalking: boolean;
  /** When they pick up, or hang up; Infinity for never. */
  nextMs: number;
  restUntilMs: number;
  lastCallMs: number;
  talkMs: number;
}

interface Call {
  ending: Ending | null;
  readonly startAfter: PersonId | null;
  readonly limitMs: number;
  memberMs: number;
  tried: PersonId[];
  declined: PersonId[];
  tier: number;
  rangInRound: boolean;
  rang: boolean;
}

type Acts = (personId: PersonId, atMs: number) => StaffAct;

class SecondTelling {
  private readonly members: Member[];
  private readonly calls: Call[] = [];
  private lastStart: PersonId | null = null;

  constructor(
    private readonly group: Group,
    private readonly acts: Acts,
  ) {
    this.members = group.members.map(({ personId, tier }) => ({
      id: personId,
      tier,
      call: null,
      isTalking: false,
      nextMs: Infinity,
      restUntilMs: 0,
      lastCallMs: 0,
      talkMs: 0,
    }));
  }

  tell(arrivals: readonly number[]): readonly Ending[] {
    const left = [...arrivals];
    for (;;) {
      const rests = this.members.map(({ restUntilMs }) => restUntilMs).filter((ms) => ms > this.nowMs);
      const open = this.calls.filter(({ ending }) => !ending);
      const due = [
        ...left.slice(0, 1),
        ...this.members.map(({ nextMs }) => nextMs),
        ...open.flatMap(({ limitMs, memberMs }) => [limitMs, memberMs]),
        ...rests,
      ];
      this.nowMs = Math.min(...due);
      if (this.nowMs === Infinity) break;
      if (left[0] === this.nowMs) {
        left.shift();
        this.arrive();
        continue;
      }
      const member = this.members.find(({ nextMs }) => nextMs === this.nowMs);
      if (member) this.act(member);
      else if (rests.includes(this.nowMs)) this.joinIn();
      else this.passTime(open);
    }
    return this.calls.map(({ ending }) => ending ?? { by: null, atMs: -1 });
  }

  private nowMs = 0;

  private arrive(): void {
    const { inAllSeconds, order, memberSeconds } = this.group;
    const seconds = inAllSeconds ?? (order === 'allAtOnce' ? memberSeconds : Infinity);
    const call: Call = {
      ending: null,
      startAfter: this.lastStart,
      limitMs: this.nowMs + seconds * 1000,
      memberMs: Infinity,
      tried: [],
      declined: [],
      tier: 0,
      rangInRound: false,
      rang: false,
    };
    this.calls.push(call);
    this.ringNext(call);
  }

  private act(member: Member): void {
    const call = member.call as Call;
    if (member.isTalking) {
      Object.assign(member, { call: null, isTalking: false, nextMs: Infinity, lastCallMs: this.nowMs });
      member.restUntilMs = this.nowMs + this.group.restSeconds * 1000;
      return this.joinIn();
    }
    call.ending = { by: member.id, atMs: this.nowMs };
    this.silence(call);
    Object.assign(member, { call, isTalking: true, nextMs: this.nowMs + member.talkMs });
    this.joinIn();
  }

  private passTime(open: readonly Call[]): void {
    const over = open.find(({ limitMs, memberMs }) => limitMs === this.nowMs || memberMs === this.nowMs) as Call;
    this.silence(over);
    if (over.limitMs === this.nowMs) over.ending = { by: null, atMs: this.nowMs };
    else this.ringNext(over);
    this.joinIn();
  }

  /** Phones that ring for a call ring no longer. */
  private silence(call: Call): void {
    call.memberMs = Infinity;
    for (const member of this.members) {
      if (member.call === call && !member.isTalking) Object.assign(member, { call: null, nextMs: Infinity });
    }
  }

  private ringNext(call: Call): void {
    for (;;) {
      const next = this.nextOf(call);
      if (next.length > 0) {
        if (!call.rang && this.group.order === 'takingTurns') this.lastStart = next[0]?.id ?? null;
        Object.assign(call, { rang: true, rangInRound: true, tier: next[0]?.tier ?? 0 });
        if (this.group.order !== 'allAtOnce') call.memberMs = this.nowMs + this.group.memberSeconds * 1000;
        return this.ring(call, next);
      }
      if (this.group.inAllSeconds === null || !call.rangInRound) {
        call.ending = { by: null, atMs: this.nowMs };
        return;
      }
      Object.assign(call, { tried: [], tier: 0, rangInRound: false });
    }
  }

  private nextOf({ tried, declined, tier, startAfter }: Call): Member[] {
    const free = this.members.filter(
      ({ id, call, restUntilMs }) =>
        !call && this.nowMs >= restUntilMs && !tried.includes(id) && !declined.includes(id),
    );
    switch (this.group.order) {
      case 'allAtOnce':
        return tried.length === 0 ? free : [];
      case 'inOrder':
      case 'onCall':
        return free.slice(0, 1);
      case 'takingTurns': {
        const from = this.members.findIndex(({ id }) => id === startAfter) + 1;
        const round = [...this.members.slice(from), ...this.members.slice(0, from)];
        return round.filter((member) => free.includes(member)).slice(0, 1);
      }
      case 'longestFree':
        return [...free].sort((one, other) => one.lastCallMs - other.lastCallMs).slice(0, 1);
      case 'tierByTier': {
        const higher = free.filter((member) => member.tier > tier);
        const first = Math.min(...higher.map((member) => member.tier));
        return higher.filter((member) => member.tier === first);
      }
    }
  }

  /** Rings them; those who decline do so at once. */
  private ring(call: Call, members: readonly Member[]): void {
    call.tried.push(...members.map(({ id }) => id));
    const declining: Member[] = [];
    for (const member of members) {
      const act = this.acts(member.id, this.nowMs);
      Object.assign(member, { call, nextMs: act.type === 'answer' ? this.nowMs + act.afterMs : Infinity });
      if (act.type === 'answer') member.talkMs = act.talkMs;
      if (act.type === 'busy') declining.push(member);
    }
    for (const member of declining) {
      member.call = null;
      call.declined.push(member.id);
      const isRung = this.members.some((each) => each.call === call && !each.isTalking);
      if (!isRung && this.group.order === 'allAtOnce') call.ending = { by: null, atMs: this.nowMs };
      else if (!isRung) this.ringNext(call);
      this.joinIn();
    }
  }

  /** Whoever is free rings along where all are rung at once. */
  private joinIn(): void {
    if (this.group.order !== 'allAtOnce') return;
    for (const member of this.members) {
      const isFree = (): boolean => !member.call && this.nowMs >= member.restUntilMs;
      const wants = this.calls.find((call) => isFree() && !call.ending && call.rang && !call.tried.includes(member.id));
      if (wants) this.ring(wants, [member]);
    }
  }
}

const seconds = (min: number, max: number) => fc.integer({ min, max });
const act: fc.Arbitrary<StaffAct> = fc.oneof(
  fc.record({
    type: fc.constant('answer' as const),
    afterMs: seconds(0, 25).map((each) => each * 1000 + 500),
    talkMs: seconds(1, 90).map((each) => each * 1000),
  }),
  fc.constant<StaffAct>({ type: 'busy' }),
  fc.constant<StaffAct>({ type: 'noAnswer' }),
);

const anyGroup = fc.record({
  order: fc.constantFrom(...ringingOrders),
  tiers: fc.array(seconds(1, 3), { minLength: 1, maxLength: 5 }),
  memberSeconds: seconds(5, 30),
  restSeconds: seconds(0, 40),
  inAllSeconds: fc.option(seconds(5, 100)),
  acts: fc.array(act, { minLength: 1, maxLength: 7 }),
  arrivals: fc.array(seconds(0, 300), { minLength: 1, maxLength: 12 }),
});

describe('a ring group', () => {
  it('rings as its rules say when they are told a second time, whoever calls and whatever the members do', () => {
    fc.assert(
      fc.property(anyGroup, ({ tiers, acts: acting, arrivals, ...settings }) => {
        const members = tiers.map((tier, at) => ({ personId: everybody[at]?.id as PersonId, tier }));
        const group: Group = { ...groupDefaults, ...settings, id: groupId.create('desk'), name: 'Desk', members };
        const acts: Acts = (personId, atMs) =>
          acting[(personId.length * 31 + Math.floor(atMs / 1000)) % acting.length] as StaffAct;
        const times = [...arrivals]
          .sort((one, other) => one - other)
          .map((each, at) => openMoment + each * 1000 + at * 7);
        expect(endingsOf(group, acts, times)).toEqual(new SecondTelling(group, acts).tell(times));
      }),
      cases(3000),
    );
  });
});

/** How each call ended, by the exchange. */
function endingsOf(group: Group, acts: Acts, times: readonly number[]): readonly Ending[] {
  const endings = new Map<string, Ending>();
  const to = { type: 'group', groupId: group.id } as const;
  simulate({
    script: answering(message, { groups: [group], hours: [hours] }),
    callers: times.map((atMs, at) => ({
      callId: callId.create(`c${at}`),
      atMs,
      callerNumber: 'anonymous',
      acts: [],
      to,
    })),
    staff: (phone, atMs) => (phone.type === 'person' ? acts(phone.personId, atMs) : { type: 'noAnswer' }),
    watch: (_, { effects, atMs }) => {
      for (const { effect, id } of effects.flatMap((each) =>
        each.type === 'forCall' ? [{ effect: each.effect, id: each.callId }] : [],
      )) {
        for (const entry of transcriptOf([effect], atMs)) {
          if (entry.type === 'answered' && entry.phone.type === 'person')
            endings.set(id, { by: entry.phone.personId, atMs });
          if (entry.type === 'notAnswered') endings.set(id, { by: null, atMs });
        }
      }
    },
  });
  return times.map((_, at) => endings.get(callId.create(`c${at}`)) ?? { by: null, atMs: -2 });
}
