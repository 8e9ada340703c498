import { groupDefaults, groupId, queueDefaults, queueId, type Group, type Queue } from '../directory';
import { closedAllDay, hoursId, instantOf, specialDateId, type Hours, type SpecialDate } from '../hours';
import { ringDefaults, type Fallback, type Path } from '../line';
import { answering, hours, message, noor, open, priya, zone } from '../testing/boatyard';
import { membersOf, Office } from '../testing/office';

const regatta: SpecialDate = {
  id: specialDateId.create('regatta'),
  name: 'Regatta',
  when: { type: 'once', from: '2026-11-25', to: '2026-11-25' },
  moved: 'stays',
  hours: closedAllDay,
  words: '',
};
/** Afternoons only, whatever the line keeps. */
const afternoons: Hours = {
  ...hours,
  id: hoursId.create('afternoons'),
  week: [1, 2, 3, 4, 5].map((day) => ({ periodId: open.id, day: day as 1, startMin: 780, endMin: 1020 })),
  special: [],
};
const kept = {
  hoursId: afternoons.id,
  members: membersOf(noor, priya),
  closedWords: 'The sail loft opens at one.',
};
const group: Group = { ...groupDefaults, ...kept, id: groupId.create('loft'), name: 'Loft' };
const queue: Queue = { ...queueDefaults, ...kept, id: queueId.create('loft'), name: 'Loft', entryWords: '' };
const say = (words: string): Path => [
  { type: 'say', spoken: { type: 'typed', words } },
  { type: 'hangUp', words: '' },
];

interface Case {
  readonly at?: string;
  readonly row?: Partial<Group & Queue>;
  readonly fallbacks?: readonly Fallback[];
  readonly special?: Partial<SpecialDate>;
}

/** What a caller hears who is led to the group, or to the queue, and why they were not connected. */
function heard(kind: 'group' | 'queue', { at = '2026-11-24T09:00', row, fallbacks = [], special }: Case) {
  const path: Path = [
    kind === 'group'
      ? { ...ringDefaults, type: 'ringGroup', groupId: group.id, seconds: null }
      : { type: 'waitInQueue', queueId: queue.id },
    ...message,
  ];
  const own = { ...afternoons, special: special ? [{ ...regatta, ...special }] : [] };
  const script = answering(path, {
    groups: [{ ...group, ...row } as Group],
    queues: [{ ...queue, ...row } as Queue],
    hours: [hours, own],
  });
  const [line] = script.lines;
  if (!line) throw new Error('no line');
  const office = new Office({ ...script, lines: [{ ...line, attendant: { ...line.attendant, fallbacks } }] });
  office.nowMs = instantOf(at, zone);
  const call = office.call('one');
  office.pass(20);
  const why = office
    .transcript(call)
    .flatMap((entry) => (entry.type === 'notAnswered' || entry.type === 'leftQueue' ? [entry.why] : []));
  return { said: office.said(call), why, phase: office.phase(call) };
}

const fallback = {
  group: (reason: 'closed' | 'special', words: string): Fallback => ({
    ...{ type: 'groupClosed', groupId: group.id, reason },
    path: say(words),
  }),
  queue: (reason: 'closed' | 'special' | 'nobodyWorking', words: string): Fallback => ({
    ...{ type: 'queue', queueId: queue.id, reason },
    path: say(words),
  }),
};

describe.each(['group', 'queue'] as const)('a %s outside its hours', (kind) => {
  it('says so in its own words, and goes on with the script', () => {
    const { said, why, phase } = heard(kind, {});
    expect(said[0]).toBe('The sail loft opens at one.');
    expect(why).toEqual(['closed']);
    expect(['boxGreeting', 'recording']).toContain(phase);
  });

  it('says nothing of it while it is open', () => {
    expect(heard(kind, { at: '2026-11-24T14:00' }).said).not.toContain('The sail loft opens at one.');
  });

  it('goes on with a path of its own, where it has one', () => {
    const { said, phase } = heard(kind, { fallbacks: [fallback[kind]('closed', 'Come by the sail loft.')] });
    expect(said.slice(0, 2)).toEqual(['The sail loft opens at one.', 'Come by the sail loft.']);
    expect(phase).toBe('ended');
  });

  it('has other words and another path on a special date', () => {
    const on = { at: '2026-11-25T14:00', special: {} };
    expect(heard(kind, on).said[0]).toBe('The sail loft opens at one.');
    const row = { specialWords: 'We are at the regatta.' };
    expect(heard(kind, { ...on, row }).said[0]).toBe('We are at the regatta.');
    const { said } = heard(kind, { ...on, row, fallbacks: [fallback[kind]('special', 'See you there.')] });
    expect(said.slice(0, 2)).toEqual(['We are at the regatta.', 'See you there.']);
  });

  it('says the words of the special date itself first of all', () => {
    const on = { at: '2026-11-25T14:00', special: { words: 'The loft sails today.' } };
    expect(heard(kind, { ...on, row: { specialWords: 'We are at the regatta.' } }).said[0]).toBe(
      'The loft sails today.',
    );
  });

  it('takes the path for closed times on a special date without one of its own', () => {
    const on = { at: '2026-11-25T14:00', special: {} };
    expect(heard(kind, { ...on, fallbacks: [fallback[kind]('closed', 'Come by.')] }).said[1]).toBe('Come by.');
  });
});

it('a queue with no path for closed times takes the one for nobody working', () => {
  const { said } = heard('queue', { fallbacks: [fallback.queue('nobodyWorking', 'Nobody sews now.')] });
  expect(said.slice(0, 2)).toEqual(['The sail loft opens at one.', 'Nobody sews now.']);
});

it('a group that was kept before there were such words goes on as if nobody had answered', () => {
  const { said, phase } = heard('group', { row: { closedWords: undefined, specialWords: undefined } as never });
  expect(said.join(' ')).not.toContain('undefined');
  expect(['boxGreeting', 'recording']).toContain(phase);
});

it('those who wait when a queue closes hear that it does', () => {
  const script = answering([{ type: 'waitInQueue', queueId: queue.id }, ...message], {
    queues: [{ ...queue, order: 'pick', longestWaitSeconds: 600 }],
    hours: [hours, afternoons],
  });
  const office = new Office(script);
  office.nowMs = instantOf('2026-11-24T16:59', zone);
  const call = office.call('one');
  expect(office.phase(call)).toBe('inQueue');
  office.pass(150);
  expect(office.said(call)).toContain('The sail loft opens at one.');
});
