import type { CallScript } from '../call';
import { groupId, personDefaults, personId, queueId, type Group, type Queue } from '../directory';
import { hoursId, type Hours } from '../hours';
import {
  findSheet,
  messageDefaults,
  namedPathId,
  newMenu,
  ringDefaults,
  sheetId,
  type Attendant,
  type Menu,
  type Path,
} from '../line';
import * as boatyard from '../testing/boatyard';
import { findWays, type FoundWays, type WaysOptions } from './findWays';
import type { StaffDoes } from './leg';
import type { Stretch, Way } from './way';

const { harbourMaster, hours, juno, launchQueue, message, moorings, noor, office, openMoment, priya, ringFor } =
  boatyard;
const { closedId, fuelId, wendell, welcomeId } = boatyard;

/** Every sentence takes a second, and is followed by its pause: in a text, after the opening words, after an option. */
const secondEach = { atMs: openMoment, lengthMs: () => 1000 };
const [pauseMs, openingPauseMs, optionPauseMs] = [350, 650, 450];

const answering = (path: Path, more: Partial<CallScript> = {}): CallScript =>
  boatyard.answering(path, { groups: [moorings], queues: [launchQueue], contacts: [harbourMaster], ...more });
const ways = (by: CallScript, more: Partial<WaysOptions> = {}): FoundWays => findWays(by, { ...secondEach, ...more });
const first = (path: Path, more: Partial<CallScript> = {}, options: Partial<WaysOptions> = {}): Way =>
  ways(answering(path, more), options).ways[0] as Way;
/** What happens on a way, each with the ms it lasts. */
const rows = ({ stretches }: Way): readonly (readonly [string, number])[] =>
  stretches.map((each) => [nameOf(each), each.toMs - each.fromMs]);
const nameOf = (each: Stretch): string =>
  each.type === 'words' ? each.text : each.type === 'ring' ? `rings ${each.target.type}` : each.type;
const changed = (attendant: Attendant): CallScript =>
  boatyard.withAttendant(attendant, { ...boatyard.script, people: boatyard.everybody });

const never: Hours = { ...hours, id: hoursId.create('never'), week: [] };
const ringGroup = (more: object = {}): Path[number] => ({
  ...ringDefaults,
  type: 'ringGroup',
  groupId: moorings.id,
  seconds: null,
  ...more,
});
const wait: Path[number] = { type: 'waitInQueue', queueId: launchQueue.id };
const outside: Path[number] = {
  ...ringDefaults,
  type: 'ringOutside',
  to: { type: 'contact', contactId: harbourMaster.id },
  accept: true,
  seconds: 30,
};

describe('words on a way', () => {
  it('are said one sentence after the other, and the pause between them passes', () => {
    const way = first([
      { type: 'say', spoken: { type: 'typed', words: 'Welcome. One moment.' } },
      ringFor(noor.id, 12),
    ]);
    expect(rows(way)).toEqual([
      ['Welcome.', 1000],
      ['One moment.', 1000],
      ['rings person', 12_000],
      ['Sorry, nobody can take your call now.', 1000],
      ['Goodbye.', 1000],
    ]);
    expect(way.stretches.map(({ fromMs }) => fromMs).slice(0, 2)).toEqual([0, 1000 + pauseMs]);
    expect(way.end).toEqual({ type: 'ranOut' });
  });

  it('may be a greeting of the library; one that is gone is passed over', () => {
    const greeting = { id: 'greeting:one', name: 'One', words: 'Hello there.', voice: 'slt', take: null };
    const say = (id: string): Path => [
      { type: 'say', spoken: { type: 'greeting', greetingId: id as never } },
      { type: 'hangUp', words: '' },
    ];
    const more = { greetings: [greeting as never] };
    expect(rows(first(say('greeting:one'), more))).toEqual([['Hello there.', 1000]]);
    expect(rows(first(say('greeting:gone'), more))).toEqual([]);
  });

  it('come before a goodbye, before ringing, and before a call is handed over', () => {
    expect(rows(first([{ type: 'hangUp', words: 'Goodbye.' }]))).toEqual([['Goodbye.', 1000]]);
    const ring: Path = [{ ...ringFor(noor.id, 12), before: 'Please hold.' } as Path[number], ...message];
    expect(rows(first(ring)).slice(0, 2)).toEqual([
      ['Please hold.', 1000],
      ['rings person', 12_000],
    ]);
    const to = { type: 'contact' as const, contactId: harbourMaster.id };
    const over = first([{ type: 'handOver', to, before: 'We hand you over.' }]);
    expect(rows(over)).toEqual([['We hand you over.', 1000]]);
    expect(over).toMatchObject({
      end: { type: 'handedOver' },
      personMs: { soonestMs: over.endMs, latestMs: over.endMs },
    });
  });

  it('go on after a hand-over that is not taken, where something is written for that', () => {
    const to = { type: 'contact' as const, contactId: harbourMaster.id };
    const path: Path = [{ type: 'handOver', to, before: '' }, ...message];
    const over = first(path);
    expect(rows(over)[0]).toEqual(['rings outside', 60_000]);
    expect(over).toMatchObject({
      end: { type: 'message' },
      personMs: { soonestMs: 0, latestMs: 60_000 },
      rings: true,
    });
    const by = answering(path, { contacts: [harbourMaster] });
    expect(ways(by, { staff: 'answers' }).ways[0]).toMatchObject({ end: { type: 'handedOver' }, endMs: 0 });
    const busy = ways(by, { staff: 'busy' }).ways[0]!;
    expect(busy).toMatchObject({ end: { type: 'message' }, personMs: null });
    expect(rows(busy)[0]?.[0]).not.toBe('rings outside');
  });

  it('tell once that the call is recorded, again after recording was stopped, and not where that is not wanted', () => {
    const record = (on: boolean, tells = true): Path[number] => ({ type: 'record', on, tells });
    const told = (...path: Path): number =>
      rows(first([...path, { type: 'hangUp', words: '' }])).filter(([words]) => /record/i.test(words)).length;
    expect(told(record(true))).toBe(1);
    expect(told(record(true), record(true))).toBe(1);
    expect(told(record(true), record(false), record(true))).toBe(2);
    expect(told(record(true, false))).toBe(0);
    expect(told(record(false))).toBe(0);
  });

  it('are asked for once where the same sentence is said again', () => {
    const asked: string[] = [];
    const lengthMs = ({ text }: { readonly text: string }): number => asked.push(text) * 0 + 500;
    findWays(boatyard.script, { atMs: openMoment, lengthMs });
    expect(new Set(asked).size).toBe(asked.length);
  });
});

describe('ringing on a way', () => {
  it('reaches a person from the first ring to the end of the last', () => {
    const way = first([ringFor(noor.id, 12), ringFor(priya.id, 20), ...message]);
    expect(way.personMs).toEqual({ soonestMs: 0, latestMs: 32_000 });
    expect(way.quickPersonMs).toBe(0);
    expect(way.end).toEqual({ type: 'message', boxId: office.id });
  });

  it('passes over people who are gone, or do not work then', () => {
    const gone = first([ringFor(personId.create('gone'), 12), ...message]);
    expect([rows(gone).some(([what]) => what === 'rings person'), gone.personMs]).toEqual([false, null]);
    const off = { people: [{ ...noor, hoursId: never.id }], hours: [never] };
    expect(first([ringFor(noor.id, 12), ...message], off).personMs).toBeNull();
    const deletedHours = { people: [{ ...noor, hoursId: never.id }], hours: [] };
    expect(first([ringFor(noor.id, 12), ...message], deletedHours).personMs).not.toBeNull();
  });

  it('with no limit is for ever, and drawn for two minutes', () => {
    const way = first([ringFor(noor.id, null), ...message]);
    expect(way.end).toEqual({ type: 'forEver' });
    expect(rows(way)).toEqual([['rings person', 120_000]]);
  });

  it.each<[StaffDoes, object]>([
    ['noAnswer', { personMs: { soonestMs: 0, latestMs: 12_000 }, end: { type: 'message' } }],
    ['busy', { personMs: null, end: { type: 'message' } }],
    ['answers', { personMs: { soonestMs: 0, latestMs: 0 }, end: { type: 'talks', target: { type: 'person' } } }],
  ])('goes as the staff do: %s', (staff, is) => {
    expect(first([ringFor(noor.id, 12), ...message], {}, { staff })).toMatchObject(is);
  });

  it('goes outside too, unless the number is none or the contact is gone', () => {
    expect(rows(first([outside, ...message]))[0]).toEqual(['rings outside', 30_000]);
    expect(first([outside, ...message], { contacts: [] }).personMs).toBeNull();
    const wrong: Path = [
      { ...outside, to: { type: 'number', number: 'nowhere' as never } } as Path[number],
      ...message,
    ];
    expect(first(wrong).personMs).toBeNull();
  });
});

describe('a group on a way', () => {
  const group = (more: Partial<Group>): Partial<CallScript> => ({ groups: [{ ...moorings, ...more }] });
  const seconds = (more: Partial<Group>, step: object = {}): number | undefined => {
    const ringing = rows(first([ringGroup(step), ...message], group(more))).find(([what]) => what === 'rings group');
    return ringing && ringing[1] / 1000;
  };
  const tiers = [
    { personId: priya.id, tier: 1 },
    { personId: wendell.id, tier: 1 },
    { personId: noor.id, tier: 2 },
  ];

  it('rings as long as the step says, else as the group says in all, else once round its members', () => {
    expect(seconds({ memberSeconds: 10, inAllSeconds: 45 }, { seconds: 33 })).toBe(33);
    expect(seconds({ memberSeconds: 10, inAllSeconds: 45 })).toBe(45);
    expect(seconds({ memberSeconds: 10, inAllSeconds: null, order: 'inOrder' })).toBe(20);
    expect(seconds({ memberSeconds: 10, inAllSeconds: null, order: 'takingTurns', members: tiers })).toBe(30);
    expect(seconds({ memberSeconds: 10, inAllSeconds: null, order: 'tierByTier', members: tiers })).toBe(20);
    expect(seconds({ memberSeconds: 10, inAllSeconds: null, order: 'allAtOnce', members: tiers })).toBe(10);
  });

  it('is passed over when it is gone, has nobody, keeps other hours, or nobody in it works', () => {
    const people = [priya, wendell].map((person) => ({ ...person, hoursId: never.id }));
    expect(seconds({})).toBeGreaterThan(0);
    expect(seconds({ id: groupId.create('other') })).toBeUndefined();
    expect(seconds({ members: [] })).toBeUndefined();
    expect(seconds({ members: [{ personId: personId.create('gone'), tier: 1 }] })).toBeUndefined();
    const off = { ...group({ hoursId: never.id }), hours: [never] };
    expect(first([ringGroup(), ...message], off).personMs).toBeNull();
    const nobody = (workingOnly: boolean) => ({ ...group({ workingOnly }), people, hours: [never] });
    expect(first([ringGroup(), ...message], nobody(true)).personMs).toBeNull();
    expect(first([ringGroup(), ...message], nobody(false)).personMs).not.toBeNull();
    const one = { ...group({ workingOnly: true }), people: [people[0]!, wendell], hours: [never] };
    expect(first([ringGroup(), ...message], one).personMs).not.toBeNull();
  });

  it('goes its own way where the path has no further step, and in a circle where that rings it again', () => {
    const own = (path: Path): CallScript => {
      const by = answering([ringGroup({ seconds: 10 })]);
      const attendant = by.lines[0]!.attendant;
      return boatyard.withAttendant(
        { ...attendant, fallbacks: [{ type: 'group', groupId: moorings.id, path }] as never },
        by,
      );
    };
    expect(ways(own(message)).ways[0]?.end).toEqual({ type: 'message', boxId: office.id });
    expect(ways(own([ringGroup({ seconds: 10 })])).ways[0]?.end).toEqual({ type: 'circle' });
    expect(first([ringGroup({ seconds: 10 })]).end).toEqual({ type: 'ranOut' });
  });
});

describe('a queue on a way', () => {
  const queue = (more: Partial<Queue>): Partial<CallScript> => ({ queues: [{ ...launchQueue, ...more }] });
  const withPath = (reason: string, path: Path, more: Partial<CallScript> = {}): Way => {
    const by = answering([wait, { type: 'hangUp', words: 'Bye.' }], more);
    const fallbacks = [{ type: 'queue', queueId: launchQueue.id, reason, path }] as never;
    return ways(boatyard.withAttendant({ ...by.lines[0]!.attendant, fallbacks }, by)).ways[0] as Way;
  };

  it('is waited in as long as it keeps callers, and somebody may answer all the while', () => {
    const way = first([wait, ...message], queue({ longestWaitSeconds: 180 }));
    expect(rows(way)[0]).toEqual(['queue', 180_000]);
    expect(way.personMs).toEqual({ soonestMs: 0, latestMs: 180_000 });
  });

  it('is answered at once where its members answer', () => {
    const way = first([wait, ...message], {}, { staff: 'answers' });
    expect(way.personMs).toEqual({ soonestMs: 0, latestMs: 0 });
    expect(way.end).toEqual({ type: 'talks', target: { type: 'queue', queueId: launchQueue.id } });
  });

  it.each<[StaffDoes, string, boolean]>([
    ['noAnswer', 'message', true],
    ['busy', 'message', false],
    ['answers', 'talks', true],
  ])('goes as its members do: %s', (staff, end, reaches) => {
    const way = first([wait, ...message], {}, { staff });
    expect([way.end.type, way.personMs !== null]).toEqual([end, reaches]);
  });

  it('is left by its key: once the words on entry were heard, or at once by who knows the key', () => {
    const exits = (more: Partial<Queue>) =>
      ways(answering([wait, ...message], queue(more))).ways.filter(({ turn }) => turn?.type !== 'queueFull');
    const [waits, leaves] = exits({ entryWords: 'Press star to leave a message.', exitKey: '*' });
    expect(leaves).toMatchObject({
      turn: { type: 'exitKey', queueId: launchQueue.id, key: '*' },
      slot: { type: 'queue', queueId: launchQueue.id, reason: 'exitKey' },
      parent: 0,
      quickFromMs: 0,
      personMs: null,
      end: { type: 'message', boxId: office.id },
    });
    // The words on entry, and the pause after them.
    expect(leaves!.fromMs).toBe(1000 + openingPauseMs);
    expect(leaves!.endMs).toBeLessThan(waits!.endMs);
    expect(exits({ exitKey: null })).toHaveLength(1);
    expect(exits({ exitKey: '*', paused: true })).toHaveLength(1);
  });

  it('is left for its own path, and not left twice where that leads back into it', () => {
    const by = answering([wait, ...message], queue({ exitKey: '*', entryWords: '' }));
    const leading = (path: Path) =>
      boatyard.withAttendant(
        {
          ...by.lines[0]!.attendant,
          fallbacks: [{ type: 'queue', queueId: launchQueue.id, reason: 'exitKey', path }] as never,
        },
        by,
      );
    const endsOf = (path: Path) => ways(leading(path)).ways.map(({ turn, end }) => [turn?.type, end.type]);
    const [waited, full] = [
      [undefined, 'message'],
      ['queueFull', 'message'],
    ];
    expect(endsOf([{ type: 'hangUp', words: 'Bye.' }])).toEqual([waited, ['exitKey', 'hungUp'], full]);
    expect(endsOf([wait])).toEqual([waited, ['exitKey', 'message'], full]);
    const [, toMenu, ...fromMenu] = ways(leading([{ type: 'goTo', sheetId: welcomeId }])).ways;
    expect(toMenu?.end).toEqual({ type: 'menu', sheetId: welcomeId });
    expect(fromMenu.filter(({ parent }) => parent === 1).length).toBeGreaterThan(3);
  });

  it('has a way for when it is full, at once, where it would be waited in', () => {
    const by = (more: Partial<Queue>): CallScript => {
      const script = answering([wait, { type: 'hangUp', words: 'Bye.' }], queue(more));
      const fallbacks = [{ type: 'queue', queueId: launchQueue.id, reason: 'full', path: message }] as never;
      return boatyard.withAttendant({ ...script.lines[0]!.attendant, fallbacks }, script);
    };
    const full = (script: CallScript, staff: StaffDoes) =>
      ways(script, { staff }).ways.find(({ turn }) => turn?.type === 'queueFull');
    const slot = { type: 'queue', queueId: launchQueue.id, reason: 'full' };
    expect(full(by({}), 'busy')).toMatchObject({ slot, fromMs: 0, end: { type: 'message' }, personMs: null });
    expect(full(by({}), 'answers')).toBeUndefined();
    expect(full(by({ paused: true }), 'noAnswer')).toBeUndefined();
    // What a queue does that takes nobody at all.
    const [never] = ways(by({ mostCallers: 0 })).ways as [Way];
    expect(rows(full(by({}), 'noAnswer')!)).toEqual(rows(never));
  });

  it('takes nobody when it is paused, gone, or nobody in it works', () => {
    expect(rows(first([wait, ...message], queue({ paused: true }))).map(([what]) => what)).not.toContain('queue');
    expect(first([wait, ...message], queue({ id: queueId.create('gone') })).personMs).toBeNull();
    expect(first([wait, ...message], { ...queue({ hoursId: never.id }), hours: [never] }).personMs).toBeNull();
  });

  it('has a path of its own for who waited too long, and for when nobody works', () => {
    expect(withPath('tooLong', message).end.type).toBe('message');
    expect(withPath('nobodyWorking', message).end.type).toBe('hungUp');
    expect(withPath('nobodyWorking', message, queue({ paused: true })).end.type).toBe('message');
    expect(withPath('tooLong', [wait]).end.type).toBe('circle');
  });
});

describe('other steps on a way', () => {
  it('go round in a circle where named paths lead to each other, and not where one is followed twice', () => {
    const [one, two] = [namedPathId.create('one'), namedPathId.create('two')];
    const by = (oneSteps: Path, twoSteps: Path): CallScript => {
      const start = answering([{ type: 'followPath', pathId: one }, { type: 'followPath', pathId: one }, ...message]);
      const paths = [
        { id: one, name: 'One', steps: oneSteps },
        { id: two, name: 'Two', steps: twoSteps },
      ];
      return boatyard.withAttendant({ ...start.lines[0]!.attendant, paths }, start);
    };
    const follow = (pathId: typeof one): Path => [{ type: 'followPath', pathId }];
    expect(ways(by(follow(two), follow(one))).ways[0]?.end).toEqual({ type: 'circle' });
    expect(ways(by([ringFor(noor.id, 10)], [])).ways[0]?.end.type).toBe('message');
  });

  it('are about the very box, greeting, hours or line they name, not about the first there is', () => {
    const other = { ...office, id: 'box:other' as typeof office.id, longestMessageSeconds: 5 };
    const boxes = [other, { ...office, longestMessageSeconds: 12, greetingId: 'greeting:two' as never }];
    const greetings = ['one', 'two'].map((id) => ({ id: `greeting:${id}`, words: `${id}.`, voice: 'slt' })) as never;
    const way = first(message, { boxes, greetings });
    expect([rows(way)[0]?.[0], rows(way).at(-1)]).toEqual(['two.', ['message', 12_000]]);
    expect(way.end).toEqual({ type: 'message', boxId: office.id });
    const people = [{ ...noor, hoursId: never.id }];
    expect(
      first([ringFor(noor.id, 10), ...message], { people, hours: [{ ...hours, id: hoursId.create('x') }, never] }),
    ).toMatchObject({ personMs: null });
    const twoLines = { lines: [...answering(message).lines, { ...boatyard.line, id: boatyard.shedLine }] };
    const toShed: Path = [{ type: 'toLine', lineId: boatyard.shedLine }];
    const by = answering(toShed);
    expect(ways({ ...by, lines: [...by.lines, twoLines.lines[1]!] }).ways[0]?.end).toEqual({
      type: 'line',
      lineId: boatyard.shedLine,
    });
  });

  it('pass over a hand-over to a number that is none', () => {
    const to = { type: 'number' as const, number: 'nowhere' };
    expect(first([{ type: 'handOver', to, before: 'We hand you over.' }, ...message]).end.type).toBe('message');
  });

  it('take the beep of the step before that of the box', () => {
    const spoken = (stepBeep: boolean | null, boxBeep: boolean): number =>
      first([{ type: 'takeMessage', boxId: office.id, ...messageDefaults, beep: stepBeep }], {
        boxes: [{ ...office, beep: boxBeep }],
      }).stretches.at(-1)!.fromMs;
    const [silent, beeped] = [spoken(false, false), spoken(true, true)];
    expect(beeped - silent).toBe(400);
    expect([spoken(false, true), spoken(true, false), spoken(null, true)]).toEqual([silent, beeped, beeped]);
  });

  it('take a message after the box’s greeting, with a beep where it is wanted, as long as the box lets them', () => {
    const take = (beep: boolean | null): Path => [{ type: 'takeMessage', boxId: office.id, ...messageDefaults, beep }];
    const box = (more: object) => ({ boxes: [{ ...office, ...more }] });
    const spoken = (way: Way): number => way.stretches.at(-1)!.fromMs;
    const beeped = first(take(true), box({ longestMessageSeconds: 12 }));
    expect(rows(beeped).at(-1)).toEqual(['message', 12_000]);
    expect(rows(first(take(true), box({ longestMessageSeconds: 60 }))).at(-1)).toEqual(['message', 20_000]);
    expect(spoken(beeped) - spoken(first(take(false)))).toBe(400);
    expect(spoken(first(take(null), box({ beep: false })))).toBe(spoken(first(take(false))));
    const greetings = [{ id: 'greeting:box', name: 'B', words: 'Leave word.', voice: 'slt', take: null } as never];
    const own = first(take(true), { ...box({ greetingId: 'greeting:box' }), greetings });
    expect(rows(own)[0]?.[0]).toBe('Leave word.');
    expect(first([...take(true), { type: 'hangUp', words: '' }], { boxes: [] }).end.type).toBe('hungUp');
  });

  it('ask for an extension or a name, wait for its keys, and ring whoever it is', () => {
    for (const step of [
      { type: 'askExtension', seconds: 24 },
      { type: 'searchByName', by: 'lastName', seconds: 24 },
    ] as const) {
      const way = first([step, ...message]);
      expect(rows(way)).toEqual(
        expect.arrayContaining([
          ['digits', 3000],
          ['rings anybody', 24_000],
        ]),
      );
      expect(way.personMs!.latestMs - way.personMs!.soonestMs).toBe(24_000);
    }
    expect(rows(first([{ type: 'askExtension', seconds: 24 }, ...message]))[0]?.[0]).toMatch(/extension/);
    expect(rows(first([{ type: 'searchByName', by: 'firstName', seconds: 24 }, ...message]))[0]?.[0]).toMatch(
      /first name/,
    );
  });

  it('name who is rung by the next step where nobody can be asked for', () => {
    const off = { people: [{ ...noor, hoursId: never.id }, priya], hours: [never], groups: [moorings] };
    const ask = { type: 'askExtension', seconds: 24 } as const;
    const rings = (more: Partial<CallScript>) =>
      rows(first([ask, ringGroup({ seconds: 10 }), ...message], more)).filter(([what]) => what.startsWith('rings'));
    expect(rings(off)).toEqual([
      ['rings anybody', 24_000],
      ['rings group', 10_000],
    ]);
    expect(rings({ ...off, people: [{ ...noor, hoursId: never.id }] })).toEqual([]);
    const alone = {
      ...off,
      people: [
        { ...priya, extension: '', inDirectory: false },
        { ...noor, hoursId: never.id },
      ],
    };
    expect(rings(alone)).toEqual([['rings group', 10_000]]);
  });

  it('follow a path with a name and come back from it; one that is gone is passed over', () => {
    const id = namedPathId.create('urgent');
    const named = (steps: Path, follow = id): Way => {
      const by = answering([{ type: 'followPath', pathId: follow }, ...message]);
      const attendant = by.lines[0]!.attendant;
      return ways(boatyard.withAttendant({ ...attendant, paths: [{ id, name: 'Urgent', steps }] }, by)).ways[0] as Way;
    };
    expect(rows(named([ringFor(noor.id, 12)])).map(([what]) => what)).toEqual(
      expect.arrayContaining(['rings person', 'message']),
    );
    expect(named([{ type: 'hangUp', words: '' }]).end.type).toBe('hungUp');
    expect(named([ringFor(noor.id, 12)], namedPathId.create('gone'))).toMatchObject({ personMs: null });
  });

  it('hand over to another line, unless it is gone', () => {
    expect(first([{ type: 'toLine', lineId: boatyard.mainLine }]).end).toEqual({
      type: 'line',
      lineId: boatyard.mainLine,
    });
    expect(first([{ type: 'toLine', lineId: boatyard.shedLine }, ...message]).end.type).toBe('message');
  });

  it('go to a sheet, say it again, or go back; where there is none they are passed over', () => {
    expect(first([{ type: 'goTo', sheetId: sheetId.create('gone') }, ...message]).end.type).toBe('message');
    expect(first([{ type: 'back' }, ...message]).end.type).toBe('message');
    expect(first([{ type: 'sayAgain' }, ...message]).end.type).toBe('message');
  });
});

describe('the ways on from a menu', () => {
  const [welcome, ...others] = boatyard.attendant.sheets as [Menu, ...Attendant['sheets'][number][]];
  const menu = (more: Partial<Menu>): CallScript =>
    changed({ ...boatyard.attendant, sheets: [{ ...welcome, ...more }, ...others] });
  const of = (by: CallScript, turn: string, more: Partial<WaysOptions> = {}): Way => {
    const way = ways(by, more).ways.find(
      (each) => each.turn && (each.turn.type === 'key' ? each.turn.key : each.turn.type) === turn,
    );
    if (!way) throw new Error(`There is no way by ${turn}`);
    return way;
  };
  /** The opening words, three options that are read out, and the closing words, a second each with their pauses. */
  const said = findSheet(boatyard.attendant, welcomeId);

  it('say each thing in its order, then wait for a key', () => {
    const [start] = ways(menu({ waitSeconds: 5 })).ways as [Way];
    expect(start.end).toEqual({ type: 'menu', sheetId: said?.id });
    expect(start.menu.map(({ type }) => type)).toEqual(['words', 'option', 'option', 'option', 'words', 'wait']);
    const last = start.menu.at(-1)!;
    expect(last.toMs - last.fromMs).toBe(5000);
    start.menu.slice(1).forEach((each, index) => expect(each.fromMs).toBeGreaterThan(start.menu[index]!.toMs));
  });

  it('begin when their option was heard, or all of the menu where keys count only then or it is not read out', () => {
    const wholeMs = ways(menu({})).ways[0]!.menu.at(-1)!.fromMs;
    expect(of(menu({}), '1').fromMs).toBe(1000 + openingPauseMs + 1000);
    expect(of(menu({}), '2').fromMs).toBe(1000 + openingPauseMs + 1000 + optionPauseMs + 1000);
    expect(of(menu({}), '#').fromMs).toBe(wholeMs);
    expect(of(menu({ keysDuringGreeting: false }), '1').fromMs).toBe(wholeMs);
    expect(of(menu({}), '1').quickFromMs).toBe(0);
    expect(of(menu({ keysDuringGreeting: false }), '1').quickFromMs).toBe(wholeMs);
  });

  it('begin after all silent rounds, with the words between them', () => {
    const wholeMs = ways(menu({})).ways[0]!.menu.at(-1)!.fromMs;
    const silence = (more: Partial<Menu>) => of(menu({ waitSeconds: 5, ...more }), 'silence').fromMs;
    expect(silence({ silentRounds: 1 })).toBe(wholeMs + 5000);
    expect(of(menu({ waitSeconds: 5, silentRounds: 1 }), 'silence').quickFromMs).toBe(wholeMs + 5000);
    const between = silence({ silentRounds: 2, silenceWords: 'Still there?' }) - 2 * (wholeMs + 5000);
    expect(between).toBeGreaterThanOrEqual(1000);
    expect(silence({ silentRounds: 3, silenceWords: 'Still there?' })).toBe(3 * (wholeMs + 5000) + 2 * between);
    expect(silence({ silentRounds: 2, silenceWords: '' })).toBe(2 * (wholeMs + 5000));
  });

  it('begin after all wrong keys; who knows the keys does not listen first where keys count at once', () => {
    const wholeMs = ways(menu({})).ways[0]!.menu.at(-1)!.fromMs;
    const wrong = (more: Partial<Menu>) => of(menu({ wrongKeyWords: '', ...more }), 'wrongKey');
    expect(wrong({ wrongKeys: 1 })).toMatchObject({ fromMs: wholeMs, quickFromMs: 0 });
    const told = { wrongKeys: 2, wrongKeyWords: 'Not that one.', silenceWords: 'Are you still there? Hello? Hello?' };
    // The words after a wrong key are part of the menu: who knows the keys does not wait for them either.
    expect(wrong(told)).toMatchObject({ fromMs: 2 * wholeMs + 1000 + openingPauseMs, quickFromMs: 0 });
    const afterwards = wrong({ ...told, keysDuringGreeting: false });
    expect(afterwards.quickFromMs).toBe(afterwards.fromMs);
    expect(wrong({ wrongKeys: 3 })).toMatchObject({ fromMs: 3 * wholeMs, quickFromMs: 0 });
    expect(wrong({ wrongKeys: 1, keysDuringGreeting: false }).quickFromMs).toBeGreaterThan(0);
  });

  it('wait for more digits where a key is the first digit of an extension, and not where it is all of one', () => {
    const people = [{ ...personDefaults, id: personId.create('one'), name: 'One', extension: '1' }];
    const waits = (by: CallScript): number => of(by, '2').quickFromMs;
    expect(waits(menu({ extensions: { waitSeconds: 4 } }))).toBe(4000);
    expect(waits(menu({ extensions: null }))).toBe(0);
    const heard = of(menu({ extensions: null }), '2').fromMs;
    expect(of(menu({ extensions: { waitSeconds: 4 } }), '2').fromMs).toBe(heard + 4000);
    const mixed = [...people, { ...personDefaults, id: personId.create('two'), name: 'Two', extension: '251' }];
    const by = { ...menu({ extensions: { waitSeconds: 4 } }), people: mixed };
    expect([of(by, '2').quickFromMs, of(by, '1').quickFromMs]).toEqual([4000, 0]);
    expect(of({ ...menu({ extensions: { waitSeconds: 4 } }), people }, '1').quickFromMs).toBe(0);
  });

  it('lead to an announcement and back to the menu, which is the one before', () => {
    const fuel = of(menu({}), '2');
    expect(rows(fuel)).toEqual([['The fuel dock opens at eight.', 1000]]);
    expect(fuel.stretches[0]).toMatchObject({ sheetId: fuelId });
    expect(fuel.end).toEqual({ type: 'again', sheetId: welcomeId });
  });

  it('go back from an announcement to the menu it was reached from, and nowhere where there was none', () => {
    const news = { ...findSheet(boatyard.attendant, fuelId)!, afterPath: [{ type: 'back' as const }, ...message] };
    const sheets = [welcome, ...others.map((sheet) => (sheet.id === fuelId ? news : sheet))] as Attendant['sheets'];
    expect(of(changed({ ...boatyard.attendant, sheets }), '2').end).toEqual({ type: 'again', sheetId: welcomeId });
    const straight: Path = [{ type: 'goTo', sheetId: fuelId }];
    const by = changed({ ...boatyard.attendant, sheets, answering: { rules: [], otherwise: straight } });
    expect(ways(by).ways[0]?.end.type).toBe('message');
    const again = { ...news, afterPath: [{ type: 'sayAgain' as const }] };
    const saying = [welcome, ...others.map((sheet) => (sheet.id === fuelId ? again : sheet))] as Attendant['sheets'];
    expect(of(changed({ ...boatyard.attendant, sheets: saying }), '2').end).toEqual({ type: 'again', sheetId: fuelId });
  });

  it('go back from the first menu to itself', () => {
    const options = [
      { key: '9' as const, label: 'back', readOut: true, path: [{ type: 'back' as const }, ...message] },
    ];
    expect(of(menu({ options }), '9').end).toEqual({ type: 'again', sheetId: welcomeId });
  });

  it('go back to the menu before the one they are in', () => {
    const inner: Menu = {
      ...newMenu(sheetId.create('inner'), 'Inner'),
      options: [{ key: '9', label: 'back', readOut: true, path: [{ type: 'back' }] }],
      silencePath: message,
      wrongKeyPath: [{ type: 'sayAgain' }],
    };
    const options = [
      { key: '1' as const, label: 'in', readOut: true, path: [{ type: 'goTo' as const, sheetId: inner.id }] },
    ];
    const by = changed({ ...boatyard.attendant, sheets: [{ ...welcome, options }, ...others, inner] });
    const all = ways(by).ways;
    const inInner = all.filter(({ turn }) => turn && 'sheetId' in turn && turn.sheetId === inner.id);
    expect(inInner.map(({ end }) => end)).toEqual([
      { type: 'again', sheetId: welcomeId },
      { type: 'message', boxId: office.id },
      { type: 'again', sheetId: inner.id },
    ]);
    expect(inInner.every(({ parent }) => all[parent!]?.end.type === 'menu')).toBe(true);
  });

  it('are drawn once where that is asked for, and no more than so many', () => {
    const twice = ['1', '2'].map((key) => ({
      ...{ key: key as '1', label: key, readOut: true },
      path: [{ type: 'goTo' as const, sheetId: closedId }],
    }));
    const by = menu({ options: twice });
    const ends = (more: Partial<WaysOptions>) =>
      ways(by, more)
        .ways.filter(({ turn }) => turn?.type === 'key')
        .map(({ end }) => end.type);
    expect(ends({})).toEqual(['menu', 'menu']);
    expect(ends({ once: true })).toEqual(['menu', 'again']);
    expect(ways(by)).toMatchObject({ isCut: false });
    expect(ways(by, { most: 4 })).toMatchObject({ isCut: true, ways: { length: 4 } });
    expect(ways(by, { most: ways(by).ways.length })).toMatchObject({ isCut: false });
  });

  it('are those of the answer that is asked for, and none where there is no such line', () => {
    expect(ways(menu({}), { answer: { type: 'otherwise' } }).ways[0]?.end).toEqual({ type: 'menu', sheetId: closedId });
    expect(ways({ ...menu({}), lineId: boatyard.shedLine })).toEqual({ ways: [], isCut: false });
  });

  it('are the switch’s while it is on', () => {
    const by = menu({});
    const switched = {
      ...{ to: { type: 'sheet', sheetId: closedId }, fromMs: openMoment - 1, untilMs: openMoment + 1000 },
      ...{ words: 'Closed early.', by: 'Noor' },
    };
    const lines = by.lines.map((line) => ({ ...line, switched: switched as never }));
    const [start] = ways({ ...by, lines }).ways;
    expect(start?.end).toEqual({ type: 'menu', sheetId: closedId });
    expect(rows(start as Way)).toEqual([['Closed early.', 1000]]);
  });

  it('know that a call is recorded once it is', () => {
    const record: Path[number] = { type: 'record', on: true, tells: true };
    const by = menu({
      options: [{ key: '1', label: 'in', readOut: true, path: [record, ringFor(juno.id, 10), ...message] }],
    });
    const otherwise: Path = [record, { type: 'goTo', sheetId: welcomeId }];
    const attendant = by.lines[0]!.attendant;
    const recorded = boatyard.withAttendant({ ...attendant, answering: { rules: [], otherwise } }, by);
    const told = (way: Way): boolean => rows(way).some(([what]) => /record/i.test(what));
    expect(told(of(by, '1'))).toBe(true);
    expect([told(ways(recorded).ways[0] as Way), told(of(recorded, '1'))]).toEqual([true, false]);
  });
});
