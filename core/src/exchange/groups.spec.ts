import { groupDefaults, groupId, personId, type Group, type RingingOrder } from '../directory';
import { hoursId, instantOf } from '../hours';
import { ringDefaults, type Path } from '../line';
import { answering, hours, juno, message, noor, open, priya, rosalind, wendell, zone } from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';
import { callId } from './state';

const desk: Group = {
  ...groupDefaults,
  id: groupId.create('desk'),
  name: 'Front desk',
  members: membersOf(noor, priya, wendell),
};
const ring = (seconds: number | null = null): Path[number] => ({
  ...ringDefaults,
  type: 'ringGroup',
  groupId: desk.id,
  seconds,
});

/** An office whose line rings the group, then takes a message. */
const officeWith = (group: Partial<Group>, path: Path = [ring(), ...message]): Office =>
  new Office(answering(path, { groups: [{ ...desk, ...group }], hours: [hours] }));

describe('a group', () => {
  it('all at once rings everybody until one answers, and nobody else rings on', () => {
    const office = officeWith({ order: 'allAtOnce' });
    const call = office.call('one');
    expect(office.rung()).toEqual(['Noor', 'Priya', 'Wendell']);
    office.answer(priya);
    expect(office.rung()).toEqual([]);
    expect(office.phase(call)).toBe('connected');
    expect(office.doing(priya)).toMatchObject({ type: 'talking', callId: call });
  });

  it('rings phones for on call only where it is for those on call; who has no other is passed over', () => {
    const mobile = { type: 'outside', number: '+12075550191', seconds: 12, accept: true, onCallOnly: true } as const;
    const rungOn = (ringsOn: Group['ringsOn']): readonly string[] => {
      const people = [
        { ...noor, phones: [...noor.phones, mobile] },
        { ...priya, phones: [mobile] },
      ];
      const members = membersOf(noor, priya);
      const path = [ring(), ...message];
      const office = new Office(
        answering(path, { groups: [{ ...desk, order: 'allAtOnce', members, ringsOn }], hours: [hours], people }),
      );
      office.call('one');
      return people.flatMap((person) => {
        const doing = office.doing(person);
        return doing.type === 'rung' && doing.leg.phone.type === 'person' ? [doing.leg.phone.number ?? 'desk'] : [];
      });
    };
    expect(rungOn('desk')).toEqual(['desk']);
    expect(rungOn('outside')).toEqual(['desk']);
    expect(rungOn('onCall')).toEqual([mobile.number, mobile.number]);
  });

  it('rings a member on the phone that has its hours then, and passes over who has none', () => {
    const lateId = hoursId.create('late');
    const late = { ...hours, id: lateId, week: [{ periodId: open.id, day: 1 as const, startMin: 1020, endMin: 1320 }] };
    const mobile = { type: 'outside', number: '+12075550191', seconds: 12, accept: true, hoursId: lateId } as const;
    const rungAt = (time: string): readonly string[] => {
      const people = [
        { ...noor, phones: [mobile, ...noor.phones] },
        { ...priya, phones: [mobile] },
      ];
      const members = membersOf(noor, priya);
      const world = {
        groups: [{ ...desk, order: 'allAtOnce' as const, members, ringsOn: 'outside' as const }],
        hours: [late],
        people,
      };
      const office = new Office(answering([ring(), ...message], world));
      office.nowMs = instantOf(`2026-11-23T${time}`, zone);
      office.call('one');
      return people.flatMap((person) => {
        const doing = office.doing(person);
        return doing.type === 'rung' && doing.leg.phone.type === 'person' ? [doing.leg.phone.number ?? 'desk'] : [];
      });
    };
    expect(rungAt('12:00')).toEqual(['desk']);
    expect(rungAt('18:00')).toEqual([mobile.number, mobile.number]);
  });

  it('tells who let it ring and who declined, and nothing of those who had no time to', () => {
    const told = (office: Office, call: ReturnType<Office['call']>) =>
      office.transcript(call).flatMap((entry) => (entry.type === 'rang' ? [[entry.why, entry.forMs / 1000]] : []));
    const inOrder = officeWith({ order: 'inOrder', memberSeconds: 12 });
    const one = inOrder.call('one');
    inOrder.pass(12);
    inOrder.decline(priya);
    inOrder.pass(3);
    inOrder.answer(wendell);
    expect(told(inOrder, one)).toEqual([
      ['letRing', 12],
      ['declined', 0],
    ]);
    const together = officeWith({ order: 'allAtOnce', memberSeconds: 20 });
    const two = together.call('two');
    together.decline(noor);
    together.pass(5);
    together.answer(priya);
    expect(told(together, two)).toEqual([['declined', 0]]);
    const nobody = officeWith({ order: 'allAtOnce', memberSeconds: 20 });
    const three = nobody.call('three');
    nobody.pass(20);
    expect(told(nobody, three)).toEqual(Array.from({ length: 3 }, () => ['letRing', 20]));
  });

  it('in order rings one after the other, from the top, for its seconds', () => {
    const office = officeWith({ order: 'inOrder', memberSeconds: 12 });
    office.call('one');
    expect(office.rung()).toEqual(['Noor']);
    office.pass(12);
    expect(office.rung()).toEqual(['Priya']);
    office.decline(priya);
    expect(office.rung()).toEqual(['Wendell']);
    office.pass(12);
    expect(office.rung()).toEqual([]);
  });

  it('taking turns begins each call after where the last one began', () => {
    const office = officeWith({ order: 'takingTurns' });
    const firsts = ['a', 'b', 'c', 'd'].map((name) => {
      const call = office.call(name);
      const rung = office.rung();
      office.tell(call, { type: 'callerHungUp' });
      return rung;
    });
    expect(firsts).toEqual([['Noor'], ['Priya'], ['Wendell'], ['Noor']]);
  });

  it('longest free rings who was longest without a call', () => {
    const office = officeWith({ order: 'longestFree' });
    for (const [name, person] of [
      ['a', noor],
      ['b', priya],
      ['c', wendell],
    ] as const) {
      office.call(name);
      office.answer(person);
      office.pass(60);
      office.hangUp(person);
    }
    office.call('d');
    expect(office.rung()).toEqual(['Noor']);
    office.decline(noor);
    expect(office.rung()).toEqual(['Priya']);
  });

  it('tier by tier rings those of a tier together, and then the next', () => {
    const members = [noor, priya, wendell].map(({ id }, index) => ({ personId: id, tier: index === 0 ? 1 : 3 }));
    const office = officeWith({ order: 'tierByTier', members });
    office.call('one');
    expect(office.rung()).toEqual(['Noor']);
    office.pass(18);
    expect(office.rung()).toEqual(['Priya', 'Wendell']);
  });

  it.each<RingingOrder>(['inOrder', 'takingTurns', 'longestFree', 'tierByTier'])(
    '%s goes round again until the time in all is over, and leaves alone who declined',
    (order) => {
      const office = officeWith({ order, members: membersOf(noor, priya), memberSeconds: 10, inAllSeconds: 45 });
      const call = office.call('one');
      office.decline(noor);
      office.pass(44);
      expect(office.rung()).toEqual(['Priya']);
      office.pass(1);
      expect(office.rung()).toEqual([]);
      expect(office.transcript(call)).toContainEqual(
        expect.objectContaining({ type: 'notAnswered', target: { type: 'group', groupId: desk.id }, why: 'noAnswer' }),
      );
    },
  );

  it('rings for as long as the step says, whatever the group says', () => {
    const office = officeWith({ order: 'allAtOnce', inAllSeconds: 90 }, [ring(20), ...message]);
    office.call('one');
    office.pass(19);
    expect(office.rung()).toHaveLength(3);
    office.pass(1);
    expect(office.rung()).toEqual([]);
  });

  it('skips who is on a call, busy, away, at rest or not working', () => {
    const office = officeWith({
      order: 'allAtOnce',
      restSeconds: 30,
      members: membersOf(noor, priya, wendell, juno, rosalind),
    });
    office.world = {
      ...office.world,
      people: office.world.people.map((each) => (each === rosalind ? { ...each, hoursId: hours.id } : each)),
    };
    office.call('a');
    office.answer(noor);
    office.call('b');
    office.answer(priya);
    office.hangUp(priya);
    office.do({ type: 'presenceSet', personId: wendell.id, presence: 'away' });
    office.do({ type: 'presenceSet', personId: juno.id, presence: 'busy' });
    office.nowMs += 9 * 3_600_000;
    office.do({ type: 'presenceSet', personId: juno.id, presence: 'busy' });
    office.call('c');
    expect(office.rung()).toEqual(['Priya']);
  });

  it('lets whoever becomes free ring along, where all are rung at once', () => {
    const office = officeWith({ order: 'allAtOnce', restSeconds: 10 });
    office.call('a');
    office.answer(noor);
    office.call('b');
    expect(office.rung()).toEqual(['Priya', 'Wendell']);
    office.hangUp(noor);
    expect(office.rung()).toEqual(['Priya', 'Wendell']);
    office.pass(10);
    expect(office.rung()).toEqual(['Noor', 'Priya', 'Wendell']);
  });

  it('lets the next step run at once when nobody can be rung, and says why', () => {
    const why = (group: Partial<Group>, prepare: (office: Office) => void = () => undefined) => {
      const office = officeWith(group);
      prepare(office);
      const entries = office.transcript(office.call('one'));
      expect(entries).toContainEqual(expect.objectContaining({ type: 'said' }));
      return entries.find((entry) => entry.type === 'notAnswered');
    };
    expect(why({ members: [] })).toMatchObject({ why: 'nobody' });
    expect(
      why({ members: membersOf(noor) }, (office) =>
        office.do({ type: 'presenceSet', personId: noor.id, presence: 'busy' }),
      ),
    ).toMatchObject({ why: 'busy' });
    expect(why({ members: [{ personId: personId.create('gone'), tier: 1 }] })).toMatchObject({ why: 'notWorking' });
    expect(why({ hoursId: hours.id }, (office) => (office.nowMs -= 24 * 3_600_000))).toMatchObject({
      why: 'closed',
    });
  });

  it('rings outside phones where it says so, which must be accepted, even of who is away from the desk', () => {
    const office = officeWith({ order: 'inOrder', ringsOn: 'outside', members: membersOf(juno) });
    office.do({ type: 'presenceSet', personId: juno.id, presence: 'away' });
    const call = office.call('one');
    expect(office.doing(juno)).toMatchObject({ leg: { phone: { number: '+12075550161' } } });
    office.answer(juno);
    expect(office.phase(call)).toBe('ringingGroup');
    office.do({ type: 'staffPresses', personId: juno.id, key: '1' });
    expect(office.phase(call)).toBe('connected');
  });

  it('does not take a voicemail that picks up for an answer', () => {
    const office = officeWith({ order: 'inOrder', ringsOn: 'outside', members: membersOf(juno), memberSeconds: 60 });
    const call = office.call('one');
    office.answer(juno);
    office.pass(15);
    expect(office.phase(call)).toBe('boxGreeting');
  });

  it('takes its own path where the script says nothing else, and when its extension is dialled', () => {
    const office = officeWith({ members: [], extension: '304' }, [ring()]);
    const [line] = office.world.lines;
    const attendant = {
      ...(line?.attendant as NonNullable<typeof line>['attendant']),
      fallbacks: [{ type: 'group' as const, groupId: desk.id, path: message }],
    };
    office.world = { ...office.world, lines: [{ ...(line as NonNullable<typeof line>), attendant }] };
    expect(office.phase(office.call('one'))).toBe('boxGreeting');
    const dialled = callId.create('dialled');
    office.do({ type: 'staffDials', personId: wendell.id, digits: '304', callId: dialled, script: office.world });
    expect(office.phase(dialled)).toBe('boxGreeting');
  });
});
