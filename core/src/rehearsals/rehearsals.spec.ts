import fc from 'fast-check';
import { runTrial } from '../exchange';
import { applyEdit } from '../line';
import { anyScript } from '../testing/anyScript';
import { onKey1 } from '../testing/flaws';
import {
  attendant,
  fuelId,
  launchQueue,
  message,
  names,
  noor,
  office as box,
  openMoment,
  priya,
  ringFor,
  script,
  wendell,
  welcomeId,
  withAttendant,
  zone,
} from '../testing/boatyard';
import {
  describeAct,
  describeExpectation,
  expectationsOfCall,
  isBroken,
  readExpectations,
  readScene,
  rehearsalId,
  rehearse,
  sceneOfCall,
  starterSet,
  traceOf,
  type Expectation,
  type Rehearsal,
  type Scene,
} from '.';
import { play } from './rehearse';
import { cases } from '../testing/cases';

const office = { ...script, people: [noor, priya, wendell], queues: [launchQueue] };
const morning: Scene = {
  reading: '2026-11-23T10:00',
  callerNumber: '+12075550178',
  acts: [{ type: 'press', keys: '1' }],
  staff: [],
  others: 'answers',
};
const rehearsal = (expects: readonly Expectation[], scene: Partial<Scene> = {}): Rehearsal => ({
  id: rehearsalId.create('one'),
  name: 'Key 1 reaches Priya',
  scene: { ...morning, ...scene },
  expects,
  was: null,
});
const reachesPriya: Expectation = { type: 'reaches', who: priya.id };

describe('a rehearsal', () => {
  it('holds when everything happens that must', () => {
    const all: readonly Expectation[] = [
      reachesPriya,
      { type: 'hears', words: 'thank you for calling, the boatyard' },
      { type: 'within', seconds: 10 },
      { type: 'ends', how: 'talk' },
    ];
    expect(rehearse(office, rehearsal(all)).failed).toEqual([]);
  });

  it('names what did not happen', () => {
    const all: readonly Expectation[] = [
      { type: 'reaches', who: noor.id },
      { type: 'hears', words: 'good evening' },
      { type: 'within', seconds: 1 },
      { type: 'ends', how: 'message' },
      reachesPriya,
    ];
    expect(rehearse(office, rehearsal(all)).failed).toEqual([0, 1, 2, 3]);
  });

  it('runs as if no switch were set, since that is for now', () => {
    const switched = {
      to: { type: 'closed' as const },
      fromMs: openMoment - 3_600_000,
      untilMs: openMoment + 3_600_000,
      words: 'Closed because of the storm.',
      by: 'Noor Haldane',
    };
    const closedNow = { ...office, lines: office.lines.map((line) => ({ ...line, switched })) };
    expect(rehearse(closedNow, rehearsal([reachesPriya]))).toEqual(rehearse(office, rehearsal([reachesPriya])));
  });

  it('shows where the call went another way than it used to', () => {
    const before = rehearse(office, rehearsal([reachesPriya]));
    const kept = { ...rehearsal([reachesPriya]), was: before.trace };
    expect(rehearse(office, kept).partsAt).toBeNull();
    const edited = withAttendant(applyEdit(attendant, onKey1(ringFor(wendell.id, 24), ...message)), office);
    const now = rehearse(edited, kept);
    expect(isBroken(now)).toBe(true);
    expect(now.partsAt && now.trace[now.partsAt]).toMatchObject({ type: 'ringing', phone: { personId: wendell.id } });
    expect(now.partsAt && kept.was[now.partsAt]).toMatchObject({ type: 'ringing', phone: { personId: priya.id } });
  });

  it('is not broken by a word more in a greeting: the caller acts when the menu lets them', () => {
    const longer = applyEdit(attendant, {
      type: 'setWords',
      sheetId: welcomeId,
      part: 'openingWords',
      words: 'Good day. '.repeat(40),
    });
    const late = applyEdit(longer, {
      type: 'setMenuSettings',
      sheetId: welcomeId,
      settings: { keysDuringGreeting: false },
    });
    expect(
      rehearse(withAttendant(late, office), rehearsal([reachesPriya, { type: 'ends', how: 'talk' }])).failed,
    ).toEqual([]);
  });

  it.each<[string, Partial<Scene>, Expectation]>([
    ['nothing is pressed', { acts: [{ type: 'wait' }, { type: 'wait' }] }, { type: 'reaches', who: noor.id }],
    [
      'wrong keys are pressed',
      { acts: ['5', '5', '5'].map((keys) => ({ type: 'press', keys })) },
      { type: 'reaches', who: box.id },
    ],
    ['the caller hangs up', { acts: [{ type: 'hangUp', afterSeconds: 2 }] }, { type: 'ends', how: 'callerHangsUp' }],
    ['nobody answers', { others: 'noAnswer' }, { type: 'ends', how: 'message' }],
    ['somebody is busy', { staff: [{ who: priya.id, does: 'busy' }] }, { type: 'ends', how: 'message' }],
    ['a further sheet is gone to', { acts: [{ type: 'press', keys: '2' }] }, { type: 'reaches', who: fuelId }],
    ['it is night', { reading: '2026-11-23T23:00', acts: [] }, { type: 'hears', words: 'We are closed' }],
  ])('goes as a call goes when %s', (_, scene, expected) => {
    expect(rehearse(office, rehearsal([expected], scene)).failed).toEqual([]);
  });

  it('comes to an end on any attendant, and the same twice', () => {
    fc.assert(
      fc.property(anyScript, fc.constantFrom('answers', 'busy', 'noAnswer', 'voicemail'), (any, others) => {
        const scene = { others, acts: ['1', '2'].map((keys) => ({ type: 'press' as const, keys })) };
        const once = rehearse(any, rehearsal([], scene));
        expect(once.trace.at(-1)?.type).toBe('ended');
        expect(rehearse(any, { ...rehearsal([], scene), was: once.trace }).partsAt).toBeNull();
      }),
      cases(150),
    );
  });
});

describe('a starter set', () => {
  const made = starterSet(office, openMoment, names);

  it('holds on the attendant it was made from, and has every key of the first menu in it', () => {
    expect(made.length).toBeGreaterThan(7);
    const all = made.map((each, index) => ({ ...each, id: rehearsalId.create(String(index)) }));
    expect(all.filter((each) => isBroken(rehearse(office, each)))).toEqual([]);
    expect(made.map(({ name }) => name)).toContain('Open, 1: talks to Priya Castellanos');
  });

  it('leaves a queue by its key, and does not pretend that one is full', () => {
    const waits = applyEdit(attendant, onKey1({ type: 'waitInQueue', queueId: launchQueue.id }, ...message));
    const leads = applyEdit(waits, {
      type: 'setPath',
      slot: { type: 'queue', queueId: launchQueue.id, reason: 'exitKey' },
      path: [{ type: 'hangUp', words: 'Goodbye.' }],
    });
    const set = starterSet(withAttendant(leads, { ...office, queues: [launchQueue] }), openMoment, names);
    const waiting = set.filter(({ name }) => name.startsWith('Open, 1'));
    expect(waiting.map(({ name }) => name)).toEqual([
      'Open, 1: message in Office',
      'Open, 1: talks to Spring launch line',
      'Open, 1, then * while waiting: hangs up',
    ]);
    expect(waiting[2]?.scene.acts).toEqual([
      { type: 'press', keys: '1' },
      { type: 'press', keys: '*' },
    ]);
  });

  it('breaks where the attendant no longer does what it did', () => {
    const edited = withAttendant(applyEdit(attendant, onKey1({ type: 'hangUp', words: '' })), office);
    const broken = made.filter((each) => isBroken(rehearse(edited, { ...each, id: rehearsalId.create('x') })));
    expect(broken.map(({ name }) => name)).toEqual([
      'Open, 1: message in Office',
      'Open, 1: talks to Priya Castellanos',
    ]);
  });

  it('goes as it says on any attendant, each under a name of its own', () => {
    fc.assert(
      fc.property(anyScript, (any) => {
        const set = starterSet(any, openMoment, names);
        expect(set.length).toBeLessThanOrEqual(60);
        expect(new Set(set.map(({ name }) => name)).size).toBe(set.length);
        for (const each of set) {
          const run = rehearse(any, { ...each, id: rehearsalId.create('x') });
          expect([each.name, run.failed, run.partsAt]).toEqual([each.name, [], null]);
          expect(readScene(each.scene).ok && readExpectations(each.expects).ok).toBe(true);
        }
      }),
      cases(25),
    );
  });
});

describe('a call that is kept as a rehearsal', () => {
  it('goes again as it went', () => {
    const { transcript } = runTrial(office, {
      atMs: openMoment,
      callerNumber: '+12075550178',
      caller: [{ type: 'press', key: '1', afterMs: 2500 }],
      staff: () => ({ type: 'answer', afterMs: 3000, talkMs: 8000 }),
    });
    const scene = sceneOfCall(transcript, zone);
    expect(scene).toEqual({ ...morning, others: 'noAnswer', staff: [{ who: priya.id, does: 'answers' }] });
    const expects = expectationsOfCall(transcript);
    expect(expects).toEqual([reachesPriya, { type: 'ends', how: 'talk' }]);
    expect(rehearse(office, rehearsal(expects, scene)).failed).toEqual([]);
    expect(readScene(scene).ok && readExpectations(expects).ok).toBe(true);
  });

  it('goes again as it went on any attendant, whoever answers', () => {
    const played = fc.constantFrom('answers', 'busy', 'noAnswer', 'voicemail');
    const pressed = fc.array(fc.constantFrom('1', '2', '3', '0', '#'), { maxLength: 3 });
    fc.assert(
      fc.property(anyScript, played, pressed, (any, others, keys) => {
        const acts = keys.map((each) => ({ type: 'press' as const, keys: each }));
        const once = play(any, { ...morning, others, acts });
        const scene = sceneOfCall(once, zone);
        const again = rehearse(any, { ...rehearsal(expectationsOfCall(once), scene), was: traceOf(once) });
        expect(again.failed).toEqual([]);
      }),
      cases(200),
    );
  });

  it('takes digits of an extension as one act, and silence as none', () => {
    const dialling = withAttendant(
      applyEdit(attendant, {
        type: 'setMenuSettings',
        sheetId: welcomeId,
        settings: { extensions: { waitSeconds: 2 } },
      }),
      office,
    );
    const { transcript } = runTrial(dialling, {
      atMs: openMoment,
      callerNumber: 'anonymous',
      caller: [...'204'].map((key, index) => ({ type: 'press', key: key as '2', afterMs: 30_000 + index * 500 })),
      staff: () => ({ type: 'busy' }),
    });
    const { acts } = sceneOfCall(transcript, zone);
    expect(acts.slice(0, 2)).toEqual([{ type: 'wait' }, { type: 'press', keys: '204' }]);
    expect(acts.map(describeAct).slice(0, 2)).toEqual(['presses nothing', 'presses 204']);
    expect(describeExpectation(reachesPriya, names)).toBe('reaches Priya Castellanos');
  });
});

describe('what comes from outside', () => {
  it.each([
    [{ ...morning, reading: 'tomorrow' }, 'scene.reading'],
    [{ ...morning, acts: [{ type: 'press', keys: 'x' }] }, 'scene.acts.0.keys'],
    [{ ...morning, staff: [{ who: 'nobody', does: 'answers' }] }, 'scene.staff.0.who'],
  ])('is refused where it is no scene', (scene, at) =>
    expect(readScene(scene)).toEqual({ ok: false, problems: [{ type: 'notARehearsal', at }] }),
  );
});
