import { queueDefaults, queueId, type Queue } from '../directory';
import { greetingId, type Fallback, type Path } from '../line';
import { answering, hours, juno, message, noor, priya, wendell } from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';

const launch: Queue = {
  ...queueDefaults,
  id: queueId.create('rush'),
  name: 'Launch line',
  extension: '305',
  order: 'inOrder',
  members: membersOf(noor, priya),
  entryWords: 'Everybody wants to launch.',
  placeEverySeconds: null,
  longestWaitSeconds: 120,
};
const wait: Path = [{ type: 'waitInQueue', queueId: launch.id }, ...message];

const officeWith = (queue: Partial<Queue>, fallbacks: readonly Fallback[] = []): Office => {
  const script = answering(wait, { queues: [{ ...launch, ...queue }], hours: [hours] });
  const [line] = script.lines;
  if (!line) throw new Error('no line');
  return new Office({ ...script, lines: [{ ...line, attendant: { ...line.attendant, fallbacks } }] });
};
const busyOffice = (queue: Partial<Queue> = {}): Office => {
  const office = officeWith(queue);
  for (const [name, person] of [
    ['x', noor],
    ['y', priya],
  ] as const) {
    office.call(name);
    office.answer(person);
  }
  return office;
};

describe('a queue', () => {
  it('says its words on entry, then music and words over and over', () => {
    const waiting = [
      { type: 'music' as const, seconds: 10 },
      { type: 'words' as const, words: 'Have your boat’s name at hand.' },
    ];
    const office = officeWith({ waiting, order: 'pick' });
    const call = office.call('one');
    expect(office.said(call)).toEqual(['Everybody wants to launch.']);
    office.pass(60);
    expect(office.said(call).filter((text) => text.startsWith('Have your')).length).toBeGreaterThan(2);
  });

  it('offers the first in line to a free member, and the next one when the first was taken', () => {
    const office = officeWith({});
    const [one, two] = [office.call('one'), office.call('two')];
    expect(office.rung()).toEqual(['Noor', 'Priya']);
    office.answer(priya);
    expect([office.phase(one), office.phase(two)]).toEqual(['connected', 'inQueue']);
    office.answer(noor);
    expect(office.phase(two)).toBe('connected');
  });

  it('rings no more members than there are callers, unless all are rung at once', () => {
    expect(officeAfterCall(officeWith({})).rung()).toEqual(['Noor']);
    expect(officeAfterCall(officeWith({ order: 'allAtOnce' })).rung()).toEqual(['Noor', 'Priya']);
  });

  it('says the place in line and the expected wait, again and again', () => {
    const office = busyOffice({ placeEverySeconds: 30, exitKey: '*' });
    office.call('one');
    const two = office.call('two');
    office.pass(65);
    const places = office.transcript(two).filter((entry) => entry.type === 'place');
    expect(places.length).toBeGreaterThanOrEqual(2);
    expect(places[0]).toMatchObject({ place: 2 });
    expect(office.said(two).join(' ')).toContain('2');
    expect(office.said(two).join(' ')).toMatch(/star|\*/);
  });

  it('tries a member who did not answer again after a while, not before', () => {
    const office = officeWith({ members: membersOf(noor), memberSeconds: 10, retrySeconds: 30 });
    office.call('one');
    office.pass(10);
    expect(office.rung()).toEqual([]);
    office.pass(29);
    expect(office.rung()).toEqual([]);
    office.pass(1);
    expect(office.rung()).toEqual(['Noor']);
  });

  it('keeps with the call that waits longest who was rung for it, and how they did not answer', () => {
    const office = officeWith({ memberSeconds: 10 });
    const [one] = [office.call('one'), office.call('two')];
    office.pass(4);
    office.decline(priya);
    office.pass(6);
    const told = office.transcript(one).flatMap((entry): unknown[] => {
      if (entry.type === 'ringing') return ['rings'];
      return entry.type === 'rang' ? [[entry.why, entry.forMs]] : [];
    });
    expect(told).toEqual(['rings', 'rings', ['declined', 4000], ['letRing', 10_000]]);
  });

  it('leaves a member alone for the rest after a call', () => {
    const office = officeWith({ members: membersOf(noor), restSeconds: 20 });
    office.call('one');
    office.answer(noor);
    const two = office.call('two');
    office.hangUp(noor);
    office.pass(19);
    expect(office.rung()).toEqual([]);
    office.pass(1);
    expect(office.rung()).toEqual(['Noor']);
    office.answer(noor);
    expect(office.phase(two)).toBe('connected');
  });

  it('is full for one caller too many', () => {
    const office = busyOffice({ mostCallers: 1 });
    const [one, two] = [office.call('one'), office.call('two')];
    expect(office.phase(one)).toBe('inQueue');
    expect(office.transcript(two)).toContainEqual(expect.objectContaining({ type: 'leftQueue', why: 'full' }));
    expect(office.phase(two)).toBe('boxGreeting');
  });

  it('lets nobody wait longer than it may be', () => {
    const office = busyOffice();
    const one = office.call('one');
    office.pass(119);
    expect(office.phase(one)).toBe('inQueue');
    office.pass(1);
    expect(office.transcript(one)).toContainEqual(
      expect.objectContaining({ type: 'leftQueue', why: 'tooLong', waitedMs: 120_000 }),
    );
  });

  it('lets the caller leave by its key, and by no other', () => {
    const office = busyOffice({ exitKey: '0' });
    const one = office.call('one');
    office.tell(one, { type: 'keyPressed', key: '5' });
    expect(office.phase(one)).toBe('inQueue');
    office.tell(one, { type: 'keyPressed', key: '0' });
    expect(office.phase(one)).toBe('boxGreeting');
  });

  it.each(['full', 'tooLong', 'nobodyWorking', 'exitKey'] as const)('has a path of its own for %s', (reason) => {
    const words = 'We will call you back.';
    const path: Path = [{ type: 'say', spoken: { type: 'typed', words } }, ...message];
    const fallbacks: Fallback[] = [{ type: 'queue', queueId: launch.id, reason, path }];
    const office = officeWith({ order: 'pick', mostCallers: 1, paused: reason === 'nobodyWorking' }, fallbacks);
    const one = office.call('one');
    const other = reason === 'full' ? office.call('two') : one;
    if (reason === 'tooLong') office.pass(120);
    if (reason === 'exitKey') office.tell(one, { type: 'keyPressed', key: '*' });
    expect(office.said(other)).toContain(words);
  });

  it('takes nobody while nobody is working, and lets those go who wait when the last one leaves', () => {
    const office = busyOffice();
    const one = office.call('one');
    for (const { id } of [noor, priya]) office.do({ type: 'presenceSet', personId: id, presence: 'away' });
    expect(office.transcript(one)).toContainEqual(expect.objectContaining({ type: 'leftQueue', why: 'nobodyWorking' }));
    expect(office.phase(office.call('two'))).toBe('boxGreeting');
  });

  it('keeps hours of its own', () => {
    const office = officeWith({ hoursId: hours.id });
    office.nowMs -= 24 * 3_600_000;
    expect(office.phase(office.call('one'))).toBe('boxGreeting');
  });

  it('when paused takes no new callers, but still serves those who wait', () => {
    const office = busyOffice();
    const one = office.call('one');
    office.world = { ...office.world, queues: office.world.queues.map((queue) => ({ ...queue, paused: true })) };
    expect(office.phase(office.call('two'))).toBe('boxGreeting');
    office.hangUp(noor);
    office.answer(noor);
    expect(office.phase(one)).toBe('connected');
  });

  it('lets members pick a call themselves, the first or another', () => {
    const office = officeWith({ order: 'pick' });
    const [one, two] = [office.call('one'), office.call('two')];
    expect(office.rung()).toEqual([]);
    office.do({ type: 'staffPicks', personId: priya.id, callId: two });
    expect([office.phase(one), office.phase(two)]).toEqual(['inQueue', 'connected']);
    office.do({ type: 'staffPicks', personId: wendell.id, callId: one });
    expect(office.phase(one)).toBe('inQueue');
    office.do({ type: 'staffPicks', personId: priya.id, callId: one });
    expect(office.phase(one)).toBe('inQueue');
    office.do({ type: 'staffPicks', personId: noor.id, callId: one });
    expect(office.phase(one)).toBe('connected');
  });

  it('lets the caller hear its own greeting on hold', () => {
    const greeting = {
      id: greetingId.create('hold'),
      name: 'Hold',
      words: 'We are looking it up.',
      voice: 'slt',
      take: null,
    } as const;
    const office = officeWith({ holdGreetingId: greeting.id });
    office.world = { ...office.world, greetings: [greeting] };
    const one = office.call('one');
    office.answer(noor);
    office.do({ type: 'staffHolds', personId: noor.id, on: true });
    expect(office.phase(one)).toBe('onHold');
    expect(office.said(one).at(-1)).toBe(greeting.words);
    office.do({ type: 'staffHolds', personId: noor.id, on: false });
    expect(office.phase(one)).toBe('connected');
  });

  it('asks whoever is rung outside to press 1, and offers the call again when they do not', () => {
    const office = officeWith({ members: membersOf(juno), ringsOn: 'outside', memberSeconds: 60, retrySeconds: 5 });
    const one = office.call('one');
    office.answer(juno);
    office.pass(20);
    expect(office.phase(one)).toBe('inQueue');
    expect(office.rung()).toEqual(['Juno']);
    office.answer(juno);
    office.do({ type: 'staffPresses', personId: juno.id, key: '1' });
    expect(office.phase(one)).toBe('connected');
  });
});

function officeAfterCall(office: Office): Office {
  office.call('one');
  return office;
}
