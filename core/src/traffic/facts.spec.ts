import fc from 'fast-check';
import type { LineScript, TranscriptEntry } from '../call';
import { runTrial, type CallerAct } from '../exchange';
import { boxId, groupId, personId, queueId } from '../directory';
import { ringDefaults, sheetId, type Path } from '../line';
import { anyScript } from '../testing/anyScript';
import * as boatyard from '../testing/boatyard';
import { cases } from '../testing/cases';
import { factsOf, type CallFacts } from '.';

type Untimed = TranscriptEntry extends infer Entry ? (Entry extends unknown ? Omit<Entry, 'atMs'> : never) : never;

const [noor, priya] = [personId.create('noor'), personId.create('priya')];
const desk = groupId.create('desk');
const rush = queueId.create('rush');
const welcome = sheetId.create('welcome');
const fuel = sheetId.create('fuel');
const phoneOf = (id: typeof noor, number: string | null = null) => ({ type: 'person', personId: id, number }) as const;
/** A call told by seconds. */
const told = (...entries: readonly (readonly [number, Untimed])[]): TranscriptEntry[] =>
  entries.map(([seconds, entry]) => ({ ...entry, atMs: boatyard.openMoment + seconds * 1000 }) as TranscriptEntry);
const facts = (...entries: readonly (readonly [number, Untimed])[]): CallFacts => {
  const found = factsOf(told(...entries));
  if (!found) throw new Error('It goes on');
  return found;
};
const called: Untimed = {
  type: 'called',
  callerNumber: '+12075550178',
  lineId: 'line:main' as never,
  answer: { type: 'otherwise' },
};
const enters = (id = welcome): Untimed => ({ type: 'sheet', sheetId: id });
const says = (id = welcome, part: 'openingWords' | 'words' = 'openingWords'): Untimed => ({
  type: 'said',
  text: 'Hello.',
  source: { type: 'words', sheetId: id, part },
});
const presses = (key: '1' | '2' | '8', use: 'option' | 'wrong' = 'option'): Untimed => ({ type: 'key', key, use });
const rings = (id: typeof noor, number: string | null = null): Untimed => ({
  type: 'ringing',
  phone: phoneOf(id, number),
  forMs: 20_000,
});
const answers = (id: typeof noor, number: string | null = null): Untimed => ({
  type: 'answered',
  phone: phoneOf(id, number),
});
const ends = (reason: Extract<TranscriptEntry, { type: 'ended' }>['reason']): Untimed => ({ type: 'ended', reason });

describe('what is kept of a call', () => {
  it('is nothing while it goes on', () => {
    expect(factsOf(told([0, called]))).toBeNull();
    expect(factsOf([])).toBeNull();
  });

  it('is how long it took to a person, and how long they talked, time on hold apart', () => {
    const { outcome, toPersonMs, talkMs, holdMs, through } = facts(
      [0, called],
      [12, rings(noor)],
      [20, answers(noor)],
      [50, { type: 'held', on: true }],
      [65, { type: 'held', on: false }],
      [100, { type: 'held', on: true }],
      [110, ends('callerHungUp')],
    );
    expect([outcome, toPersonMs, talkMs, holdMs, through]).toEqual(['answered', 20_000, 90_000, 25_000, null]);
  });

  it('is what was done in each sheet, and when, by the words that were under way', () => {
    const { visits, wrongKeys, silences } = facts(
      [0, called],
      [0, enters()],
      [1, says()],
      [15, presses('8', 'wrong')],
      [15, says()],
      [30, { type: 'silence', sheetId: welcome, round: 1 }],
      [30, says()],
      [34, presses('2')],
      [34, enters(fuel)],
      [34, says(fuel, 'words')],
      [40, enters()],
      [40, says()],
      [47, ends('callerHungUp')],
    );
    expect(visits).toEqual([
      { sheetId: welcome, choice: '2', afterMs: 4000, isFirstRound: false, wrongKeys: 1, silences: 1 },
      { sheetId: fuel, choice: 'heard', afterMs: 6000, isFirstRound: true, wrongKeys: 0, silences: 0 },
      { sheetId: welcome, choice: 'hungUp', afterMs: 7000, isFirstRound: true, wrongKeys: 0, silences: 0 },
    ]);
    expect([wrongKeys, silences]).toEqual([1, 1]);
  });

  it('tells silence and wrong keys of which a menu had enough', () => {
    const after = (...entries: readonly (readonly [number, Untimed])[]) =>
      facts([0, called], [0, enters()], [0, says()], ...entries, [40, rings(noor)], [60, ends('callerHungUp')]).visits;
    const silence: Untimed = { type: 'silence', sheetId: welcome, round: 1 };
    expect(after([10, silence])).toMatchObject([{ choice: 'nothing', silences: 1 }]);
    expect(after([10, presses('8', 'wrong')])).toMatchObject([{ choice: 'wrongKeys', wrongKeys: 1 }]);
    expect(after([10, { type: 'dialledExtension', digits: '99', to: null }])).toMatchObject([{ choice: 'wrongKeys' }]);
    expect(after([10, { type: 'dialledExtension', digits: '21', to: noor }])).toMatchObject([{ choice: 'digits' }]);
  });

  it('is who was rung, through what, for how long, and how that ended', () => {
    const { rings: rung, through } = facts(
      [0, called],
      [5, { type: 'ringingGroup', groupId: desk }],
      [5, rings(noor)],
      [5, rings(priya)],
      [9, { type: 'rang', phone: phoneOf(noor), forMs: 4000, why: 'declined' }],
      [12, answers(priya)],
      [30, ends('staffHungUp')],
    );
    const none = { talkMs: 0, holdMs: 0 };
    expect(rung).toEqual([
      { who: noor, through: desk, atMs: boatyard.openMoment + 5000, forMs: 4000, end: 'declined', ...none },
      {
        who: priya,
        through: desk,
        atMs: boatyard.openMoment + 5000,
        forMs: 7000,
        end: 'answered',
        talkMs: 18_000,
        holdMs: 0,
      },
    ]);
    expect(through).toBe(desk);
  });

  it('rings somebody once who has several phones, and knows the call out to the one that was answered', () => {
    const mobile = '+12075550161';
    const { rings: rung, outside } = facts(
      [0, called],
      [5, rings(noor)],
      [17, rings(noor, mobile)],
      [25, answers(noor, mobile)],
      [85, ends('callerHungUp')],
    );
    expect(rung).toMatchObject([{ who: noor, forMs: 20_000, end: 'answered', talkMs: 60_000 }]);
    expect(outside).toEqual([{ number: mobile, atMs: boatyard.openMoment + 25_000, forMs: 60_000 }]);
  });

  it('follows a call that is transferred twice', () => {
    const transferred: Untimed = { type: 'transferred', to: { type: 'person', personId: priya } as never, by: noor };
    const {
      rings: rung,
      toPersonMs,
      talkMs,
    } = facts(
      [0, called],
      [2, rings(noor)],
      [4, answers(noor)],
      [24, transferred],
      [24, rings(priya)],
      [30, answers(priya)],
      [60, transferred],
      [60, rings(noor)],
      [80, { type: 'notAnswered', target: { type: 'person', personId: noor }, why: 'noAnswer' }],
      [80, { type: 'recording', boxId: boxId.create('office') }],
      [95, ends('callerHungUp')],
    );
    expect(rung.map(({ who, end, talkMs: ms }) => [who, end, ms])).toEqual([
      [noor, 'answered', 20_000],
      [priya, 'answered', 30_000],
      [noor, 'letRing', 0],
    ]);
    expect([toPersonMs, talkMs]).toEqual([4000, 50_000]);
  });

  it('keeps each wait in a queue, and how it ended', () => {
    const left = (why: 'answered' | 'hungUp' | 'tooLong', waitedMs: number): Untimed => ({
      type: 'leftQueue',
      queueId: rush,
      why: why as never,
      waitedMs,
    });
    const { waits, waitedMs, outcome, through } = facts(
      [0, called],
      [1, { type: 'queued', queueId: rush }],
      [61, left('tooLong', 60_000)],
      [62, { type: 'queued', queueId: rush }],
      [92, left('hungUp', 30_000)],
      [92, ends('callerHungUp')],
    );
    expect(waits.map(({ waitedMs: ms, end }) => [ms, end])).toEqual([
      [60_000, 'tooLong'],
      [30_000, 'hungUp'],
    ]);
    expect([waitedMs, outcome, through]).toEqual([90_000, 'gaveUpInQueue', null]);
    const taken = facts(
      [0, called],
      [1, { type: 'queued', queueId: rush }],
      [1, rings(noor)],
      [20, left('answered', 19_000)],
      [20, answers(noor)],
      [50, ends('staffHungUp')],
    );
    expect(taken).toMatchObject({
      through: rush,
      rings: [{ who: noor, through: rush, end: 'answered', forMs: 19_000 }],
    });
  });
});

describe('any call', () => {
  const acts: fc.Arbitrary<CallerAct[]> = fc.array(
    fc.record({
      type: fc.constant('press' as const),
      key: fc.constantFrom('0', '1', '2', '9', '#', '*') as fc.Arbitrary<'0'>,
      afterMs: fc.integer({ min: 0, max: 90_000 }),
    }),
    { maxLength: 4 },
  );
  const begins: fc.Arbitrary<Path> = fc.subarray<Path[number]>([
    { ...ringDefaults, type: 'ring', personId: boatyard.noor.id, seconds: 12 },
    { ...ringDefaults, type: 'ringGroup', groupId: boatyard.moorings.id, seconds: 20 },
    { type: 'waitInQueue', queueId: boatyard.launchQueue.id },
  ]);
  const firstSheet = ({ attendant }: LineScript) => attendant.sheets[0]!.id;
  const staff = fc.constantFrom(
    { type: 'answer', afterMs: 3000, talkMs: 20_000 } as const,
    { type: 'noAnswer' } as const,
    { type: 'busy' } as const,
  );

  it('has facts that agree with its transcript', () => {
    let talked = 0;
    fc.assert(
      fc.property(anyScript, begins, acts, staff, fc.integer({ min: 1000, max: 240_000 }), (...given) => {
        const [any, begin, caller, does, afterMs] = given;
        const [main, ...others] = any.lines as [LineScript, ...LineScript[]];
        const answering = { rules: [], otherwise: [...begin, { type: 'goTo' as const, sheetId: firstSheet(main) }] };
        const script = { ...any, lines: [{ ...main, attendant: { ...main.attendant, answering } }, ...others] };
        const { transcript } = runTrial(script, {
          atMs: boatyard.openMoment,
          callerNumber: '',
          caller: [...caller, { type: 'hangUp', afterMs }],
          staff: () => does,
        });
        const found = factsOf(transcript);
        const [first, last] = [transcript[0]!, transcript.at(-1)!];
        if (!found) return expect(last.type).not.toBe('ended');
        const count = (type: TranscriptEntry['type']) => transcript.filter((entry) => entry.type === type).length;
        expect(found.visits).toHaveLength(count('sheet'));
        expect(found.waits).toHaveLength(count('leftQueue'));
        expect(found.rings.filter(({ end }) => end === 'answered')).toHaveLength(count('answered'));
        expect(found.rings.length).toBeLessThanOrEqual(count('ringing') + count('answered'));
        expect(found.talkMs).toBeLessThanOrEqual(last.atMs - first.atMs);
        expect(found.holdMs).toBeLessThanOrEqual(found.talkMs);
        expect(found.toPersonMs === null).toBe(count('answered') + count('handedOver') === 0);
        for (const { forMs, atMs } of found.rings) expect(atMs + forMs).toBeLessThanOrEqual(last.atMs);
        for (const { afterMs: ms } of found.visits) expect(ms).toBeGreaterThanOrEqual(0);
        talked += count('answered');
      }),
      cases(400),
    );
    expect(talked).toBeGreaterThan(5);
  });
});
