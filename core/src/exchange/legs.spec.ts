import fc from 'fast-check';
import { groupDefaults, groupId, queueDefaults, queueId, type Person } from '../directory';
import { answering, everybody, juno, message, noor, priya, ringFor } from '../testing/boatyard';
import { cases } from '../testing/cases';
import { membersOf, Office } from '../testing/office';
import { isOutside, legEvent, wantedLegs, type LegActs, type WantedLeg } from './legs';
import { callId, type CallId, type Exchange } from './state';

const number = '+12075550190';
const to = { type: 'number', number } as const;
const rings = { seconds: 24, before: '', hear: { type: 'ringback' } } as const;
const outside = { type: 'ringOutside', to, accept: false, ...rings } as const;
const desk = { ...groupDefaults, id: groupId.create('desk'), name: 'Desk', members: membersOf(noor, priya) };
const rush = { ...queueDefaults, id: queueId.create('rush'), name: 'Rush', members: membersOf(noor, priya, juno) };

const does = (office: Office): readonly string[] =>
  wantedLegs(office.exchange).map((leg) => `${phoneOf(leg)} ${leg.does}`);
const phoneOf = ({ phone }: WantedLeg): string =>
  phone.type === 'outside' ? phone.number : `${phone.personId.split(':')[1]}${phone.number ? ` ${phone.number}` : ''}`;
const act = (office: Office, index: number, what: LegActs): void => {
  const leg = wantedLegs(office.exchange)[index];
  const event = leg && legEvent(office.exchange, leg, what, office.nowMs);
  if (event?.type === 'ofCall') office.tell(event.callId, event.event);
  else if (event) office.do(event);
};

describe('the phones that are wanted', () => {
  it('ring, and are talked on until somebody hangs up', () => {
    const office = new Office(answering([ringFor(noor.id, 24)]));
    const call = office.call('one');
    expect(does(office)).toEqual(['noor rings']);
    const [{ id }] = wantedLegs(office.exchange) as [WantedLeg];
    act(office, 0, { type: 'answered' });
    expect(wantedLegs(office.exchange)).toMatchObject([{ id, does: 'talks', callId: call }]);
    act(office, 0, { type: 'hungUp' });
    expect(does(office)).toEqual([]);
  });

  it('are those of a group all at once, then of whoever answered', () => {
    const path = [{ type: 'ringGroup' as const, groupId: desk.id, ...rings, seconds: null }];
    const office = new Office(answering(path, { groups: [{ ...desk, order: 'allAtOnce' }] }));
    office.call('one');
    expect(does(office)).toEqual(['noor rings', 'priya rings']);
    act(office, 1, { type: 'answered' });
    expect(does(office)).toEqual(['priya talks']);
  });

  it('are asked to press 1 where that is meant, and let go when they do not', () => {
    const office = new Office(answering([{ ...outside, accept: true }, ...message]));
    const call = office.call('one');
    act(office, 0, { type: 'answered' });
    expect(does(office)).toEqual([`${number} isAsked`]);
    act(office, 0, { type: 'pressed', key: '1' });
    expect(does(office)).toEqual([`${number} talks`]);
    act(office, 0, { type: 'hungUp' });
    expect(office.phase(call)).toBe('ended');
  });

  it('go on with the path when the line does not reach them', () => {
    const office = new Office(answering([outside, ...message]));
    const call = office.call('one');
    act(office, 0, { type: 'unreached', why: 'noSuchNumber' });
    expect(does(office)).toEqual([]);
    expect(office.transcript(call)).toContainEqual(
      expect.objectContaining({ type: 'notAnswered', why: 'noSuchNumber' }),
    );
    expect(office.phase(call)).toBe('boxGreeting');
  });

  it('of colleagues say too why they are not reached', () => {
    const office = new Office(answering([ringFor(juno.id, 40), ...message]));
    const call = office.call('one');
    act(office, 0, { type: 'unreached', why: 'busy' });
    expect(does(office)).toEqual(['juno +12075550161 rings']);
    act(office, 0, { type: 'unreached', why: 'noSuchNumber' });
    expect(office.transcript(call)).toContainEqual(
      expect.objectContaining({ type: 'notAnswered', why: 'noSuchNumber' }),
    );
  });

  it('take a call that is handed over, and leave the line with it', () => {
    const office = new Office(answering([{ type: 'handOver', to, before: '' }, ...message]));
    const failed = office.call('one');
    expect(does(office)).toEqual([`${number} takesOver`]);
    act(office, 0, { type: 'unreached', why: 'failed' });
    expect([does(office), office.phase(failed)]).toEqual([[], 'boxGreeting']);
    const taken = office.call('two');
    act(office, 0, { type: 'answered' });
    expect([does(office), office.phase(taken)]).toEqual([[], 'ended']);
    expect(office.transcript(taken).at(-1)).toMatchObject({ type: 'ended', reason: 'handedOver' });
  });

  it('go on as the same phone when a caller is sent on to the colleague who was spoken to', () => {
    const office = new Office(answering([ringFor(noor.id, 24)]));
    const call = office.call('one');
    office.answer(noor);
    const own = callId.create('own');
    const consults = { personId: noor.id, colleague: priya.id, callId: own, script: office.world } as const;
    office.do({ type: 'staffConsults', ...consults });
    expect(does(office)).toEqual(['noor holds', 'priya rings']);
    office.answer(priya);
    const before = wantedLegs(office.exchange).find(
      ({ phone }) => phone.type === 'person' && phone.personId === priya.id,
    );
    office.do({ type: 'staffSendsOn', personId: noor.id });
    expect(wantedLegs(office.exchange)).toMatchObject([{ id: before?.id, does: 'talks', callId: call }]);
  });
});

describe('phones that nobody rings for a caller', () => {
  it('hear what is said to a speaker group until they take a call', () => {
    const speakers = { ...desk, speakerCode: '77', members: membersOf(priya, juno) };
    const office = new Office(answering([ringFor(priya.id, 24)], { groups: [speakers] }));
    const own = { callId: callId.create('own'), script: office.world };
    office.do({ type: 'staffDials', personId: noor.id, digits: '77', ...own });
    expect(does(office)).toEqual(['priya hears', 'juno hears']);
    office.call('one');
    office.answer(priya);
    expect(does(office)).toEqual(['juno hears', 'priya talks']);
    office.hangUp(noor);
    expect(does(office)).toEqual(['priya talks']);
  });

  it('are rung to record a greeting, and spoken into as the same phone', () => {
    const office = new Office(answering(message));
    const take = { callId: callId.create('take'), script: office.world, of: { name: 'Welcome', words: 'Hello.' } };
    office.do({ type: 'takeAsked', personId: noor.id, ...take });
    const [rung] = wantedLegs(office.exchange);
    expect(rung).toMatchObject({ does: 'rings', callId: null });
    act(office, 0, { type: 'answered' });
    expect(wantedLegs(office.exchange)).toMatchObject([{ id: rung?.id, does: 'talks', callId: take.callId }]);
    act(office, 0, { type: 'hungUp' });
    expect(does(office)).toEqual([]);
  });
});

describe('outside phones at once', () => {
  const withMost = (mostAtOnce: number, office: Office): Office => {
    office.world = { ...office.world, outgoing: { ...office.world.outgoing, mostAtOnce } };
    return office;
  };

  it('are no more than are allowed: the next is told that no line is free', () => {
    const office = withMost(1, new Office(answering([outside, ...message])));
    office.call('one');
    const second = office.call('two');
    expect(does(office)).toEqual([`${number} rings`]);
    expect(office.transcript(second)).toContainEqual(expect.objectContaining({ why: 'noLineFree' }));
    act(office, 0, { type: 'unreached', why: 'busy' });
    office.call('three');
    expect(does(office)).toEqual([`${number} rings`]);
  });

  it('leave members of a queue out until there is a line again', () => {
    const path = [{ type: 'waitInQueue' as const, queueId: rush.id }];
    const phones = [{ type: 'outside', number: '+12075550161', seconds: 18, accept: false } as const];
    const both: Person = { ...juno, phones };
    const queue = { ...rush, members: membersOf(both), ringsOn: 'outside' as const };
    const people = [noor, priya, both];
    const office = withMost(1, new Office(answering(path, { queues: [queue], people })));
    const first = answering([outside], { queues: [queue], people });
    const id = callId.create('outside');
    office.do({ type: 'callArrives', callId: id, callerNumber: '', script: first });
    office.call('waits');
    expect(does(office)).toEqual([`${number} rings`]);
    office.tell(id, { type: 'callerHungUp' });
    expect(does(office)).toMatchObject([expect.stringMatching(/^juno .* rings$/)]);
  });
});

describe('whatever happens', () => {
  const something = fc.oneof(
    fc.record({ type: fc.constant('call' as const), path: fc.nat(4) }),
    fc.record({ type: fc.constant('act' as const), at: fc.nat(6), does: fc.nat(4) }),
    fc.record({ type: fc.constant('callerHangsUp' as const), at: fc.nat(6) }),
    fc.record({ type: fc.constant('pass' as const), seconds: fc.constantFrom(1, 20, 70) }),
    fc.record({ type: fc.constant('transfer' as const), from: fc.nat(2), to: fc.nat(2) }),
    fc.record({ type: fc.constant('consult' as const), from: fc.nat(2), to: fc.nat(2) }),
    fc.record({ type: fc.constant('sendOn' as const), from: fc.nat(2) }),
    fc.record({ type: fc.constant('hold' as const), from: fc.nat(2), on: fc.boolean() }),
    fc.record({
      type: fc.constant('presence' as const),
      of: fc.nat(2),
      is: fc.constantFrom('here' as const, 'busy' as const, 'away' as const),
    }),
  );
  const acts: readonly LegActs[] = [
    { type: 'answered' },
    { type: 'unreached', why: 'busy' },
    { type: 'pressed', key: '1' },
    { type: 'hungUp' },
  ];
  const paths = [
    [ringFor(noor.id, 24), ...message],
    [outside, ...message],
    [{ type: 'ringGroup' as const, groupId: desk.id, ...rings, seconds: 40 }],
    [{ type: 'waitInQueue' as const, queueId: rush.id }],
    [{ type: 'handOver' as const, to, before: '' }, ...message],
  ];

  it('no phone is wanted twice, none changes, and each that is talked on rang before', () => {
    fc.assert(
      fc.property(fc.array(something, { maxLength: 60 }), (all) => {
        const parts = { groups: [desk], queues: [rush] };
        const office = new Office(answering(message, parts));
        const calls: CallId[] = [];
        const known = new Map<number, string>();
        let given = 0;
        for (const each of all) {
          happen(office, each, calls, () => callId.create(`c${(given += 1)}`));
          check(office.exchange, known);
        }
      }),
      cases(600),
    );
  });

  function happen(
    office: Office,
    each: typeof something extends fc.Arbitrary<infer One> ? One : never,
    calls: CallId[],
    newId: () => CallId,
  ): void {
    const person = (index: number): Person => everybody[index % everybody.length] as Person;
    switch (each.type) {
      case 'call': {
        const script = answering(paths[each.path] ?? message, { groups: [desk], queues: [rush] });
        const id = newId();
        calls.push(id);
        return office.do({ type: 'callArrives', callId: id, callerNumber: '', script });
      }
      case 'act':
        return act(office, each.at, acts[each.does % acts.length] as LegActs);
      case 'callerHangsUp': {
        const id = calls[each.at];
        return id && office.tell(id, { type: 'callerHungUp' });
      }
      case 'pass':
        return office.pass(each.seconds);
      case 'transfer':
        return office.do({
          type: 'staffTransfers',
          personId: person(each.from).id,
          to: { type: 'person', personId: person(each.to).id },
        });
      case 'consult':
        return office.do({
          type: 'staffConsults',
          personId: person(each.from).id,
          colleague: person(each.to).id,
          callId: newId(),
          script: office.world,
        });
      case 'sendOn':
        return office.do({ type: 'staffSendsOn', personId: person(each.from).id });
      case 'hold':
        return office.do({ type: 'staffHolds', personId: person(each.from).id, on: each.on });
      case 'presence':
        return office.do({ type: 'presenceSet', personId: person(each.of).id, presence: each.is });
    }
  }

  function check(exchange: Exchange, known: Map<number, string>): void {
    const legs = wantedLegs(exchange);
    const ofStaff = legs.filter(({ phone }) => phone.type === 'person').map(phoneOf);
    expect(new Set(ofStaff).size).toBe(ofStaff.length);
    expect(new Set(legs.map(({ id }) => id)).size).toBe(legs.length);
    for (const leg of legs) {
      const is = phoneOf(leg);
      if (!known.has(leg.id)) expect(['rings', 'hears', 'takesOver']).toContain(leg.does);
      expect(known.get(leg.id) ?? is).toBe(is);
      known.set(leg.id, is);
      if (leg.callId) expect(exchange.calls.has(leg.callId)).toBe(true);
    }
    const outsideLegs = legs.filter(({ phone }) => isOutside(phone));
    expect(outsideLegs.length).toBeLessThanOrEqual(30);
    if (exchange.calls.size === 0) expect(legs).toEqual([]);
  }
});
