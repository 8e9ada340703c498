import fc from 'fast-check';
import type { CallScript, LineScript } from '../call';
import { runTrial, type CallerAct } from '../exchange';
import { findSheet, newMenu, sheetId, type Attendant, type Path } from '../line';
import { estimateMs } from '../speech';
import { anyScript } from '../testing/anyScript';
import {
  answering,
  attendant,
  closedMoment,
  fuelId,
  hours,
  juno,
  line,
  message,
  moorings,
  names,
  noor,
  office,
  openMoment,
  priya,
  ringFor,
  script,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import { describeEnd, describeTurn, describeTurns, describeStretch, findWays, layOut, summaryOf, type Way } from '.';
import { cases } from '../testing/cases';

const found = (by: CallScript = script, atMs = openMoment, more: { once?: boolean; most?: number } = {}) =>
  findWays(by, { atMs, ...more }).ways;
const labels = (ways: readonly Way[]) => ways.map(({ turn }) => describeTurn(turn, attendant));

describe('the ways through an attendant', () => {
  it('are one for each key, for silence and for wrong keys, at a moment', () => {
    expect(labels(found())).toEqual([
      'The line answers',
      '1 moorings',
      '2 the fuel dock',
      '9 to hear this again',
      '# nothing',
      'no key',
      'wrong keys',
    ]);
    expect(found().map(({ end }) => describeEnd(end, attendant, names))).toEqual([
      'Welcome',
      'message',
      'Welcome again',
      'Welcome again',
      'hangs up',
      'message',
      'message',
    ]);
    expect(labels(found(script, closedMoment))).toEqual(['The line answers', 'no key', 'wrong keys']);
  });

  it('know when a key was heard, when it rings, and when nobody rings at all', () => {
    const [, moorings, fuel] = found();
    const heard = ['Thank you for calling the boatyard.', 'For moorings, press 1.'].map(estimateMs);
    const atMs = (heard[0] ?? 0) + 650 + (heard[1] ?? 0);
    expect(moorings).toMatchObject({
      fromMs: atMs,
      quickFromMs: 0,
      personMs: { soonestMs: atMs, latestMs: atMs + 24_000 },
      quickPersonMs: 0,
    });
    expect(moorings?.stretches[0]).toMatchObject({ type: 'ring', fromMs: atMs, toMs: atMs + 24_000 });
    expect(fuel).toMatchObject({ personMs: null });
    expect(fuel?.stretches.map((stretch) => describeStretch(stretch, names))).toEqual([
      'The fuel dock opens at eight.',
    ]);
  });

  it('use the real lengths of the audio where they are known', () => {
    const { ways } = findWays(script, { atMs: openMoment, lengthMs: () => 1000 });
    expect(ways[1]?.fromMs).toBe(1000 + 650 + 1000);
  });

  it('skip those who are not working, and wait where a key is also the first digit of an extension', () => {
    const off = { ...script, people: [noor, { ...priya, hoursId: hours.id }], hours: [{ ...hours, week: [] }] };
    expect(found(off)[1]).toMatchObject({ personMs: null });
    const [welcome, ...others] = attendant.sheets;
    const sheets = [{ ...welcome, extensions: { waitSeconds: 4 } }, ...others] as Attendant['sheets'];
    const dialling = found(withAttendant({ ...attendant, sheets }));
    expect(dialling[2]?.quickFromMs).toBe(4000);
    expect(dialling[1]?.quickFromMs).toBe(0);
  });

  it('are summed up: best, worst, and ways on which nobody is reached', () => {
    const summary = summaryOf(found());
    expect(summary).toMatchObject({ soonestMs: 0, ends: 4, withoutPerson: 2 });
    expect(summary?.latestMs).toBe(found()[5]?.personMs?.soonestMs);
    expect(summaryOf(found(script, closedMoment))).toBeUndefined();
  });

  it('tell all the keys that lead there', () => {
    const inner = { ...newMenu(sheetId.create('inner'), 'Inner'), silencePath: message, wrongKeyPath: message };
    const [welcome, ...others] = attendant.sheets;
    if (welcome?.type !== 'menu') throw new Error('Welcome is missing');
    const options = [
      { key: '1' as const, label: 'inner', readOut: true, path: [{ type: 'goTo' as const, sheetId: inner.id }] },
      { key: '2' as const, label: 'inner too', readOut: true, path: [{ type: 'goTo' as const, sheetId: inner.id }] },
    ];
    const by = withAttendant({ ...attendant, sheets: [{ ...welcome, options }, ...others, inner] });
    const every = found(by);
    expect(every.map((way) => describeTurns(way, every))).toContain('key 2, then no key');
    const once = found(by, openMoment, { once: true });
    expect(once.length).toBe(every.length - 2);
    expect(findWays(by, { atMs: openMoment, most: 3 })).toMatchObject({ isCut: true, ways: { length: 3 } });
  });

  it('end where paths stop, ring for ever or go round', () => {
    const end = (path: Path, more: Partial<CallScript> = {}) => found(answering(path, more))[0]?.end.type;
    expect(end([ringFor(juno.id, 12)])).toBe('ranOut');
    expect(end([ringFor(juno.id, null), ...message])).toBe('forEver');
    expect(end([{ type: 'toLine', lineId: line.id }])).toBe('line');
    expect(end([{ type: 'goTo', sheetId: fuelId }])).toBe('menu');
    expect(end([{ type: 'askExtension', seconds: 24 }, ...message])).toBe('message');
    const named = {
      id: 'path:p' as never,
      name: 'P',
      steps: [{ type: 'followPath', pathId: 'path:p' as never }] as Path,
    };
    const [first] = answering([{ type: 'followPath', pathId: named.id }]).lines;
    const by = answering([{ type: 'followPath', pathId: named.id }]);
    expect(found(withAttendant({ ...(first ?? line).attendant, paths: [named] }, by))[0]?.end.type).toBe('circle');
  });
});

/** A way and all those it goes on from, the first one first. */
function wayBack(way: Way, ways: readonly Way[]): readonly Way[] {
  const parent = way.parent === null ? undefined : ways[way.parent];
  return parent ? [...wayBack(parent, ways), way] : [way];
}

/** What a caller does on a way: each key once it was heard, each wrong one once all was said. */
function actsOn(way: Way, ways: readonly Way[], by: Attendant): readonly CallerAct[] {
  const back = wayBack(way, ways);
  return back.flatMap(({ turn, fromMs }, index): CallerAct[] => {
    const before = back[index - 1];
    if (!turn || !before || turn.type === 'silence') return [];
    if (turn.type === 'queueFull') return [];
    if (turn.type === 'exitKey') return [{ type: 'press', key: turn.key, afterMs: fromMs + 3 * (index + 1) }];
    const option = before.menu.find((each) => each.type === 'option' && turn.type === 'key' && each.key === turn.key);
    const sheet = findSheet(by, turn.sheetId);
    const during = sheet?.type === 'menu' && sheet.keysDuringGreeting;
    const heardMs = option && during ? option.toMs : (before.menu.at(-1)?.fromMs ?? 0);
    const key = turn.type === 'key' ? turn.key : '*';
    // A little later than it was heard, and than the one before: menus begin that much later too.
    return [{ type: 'press', key, afterMs: heardMs + 3 * (index + 1) }];
  });
}

/** What is told apart on a way, by what a transcript calls it. */
type Landmark = 'ringing' | 'ringingGroup' | 'handingOver' | 'queued' | 'recording' | 'sheet' | 'ended';
type Due = readonly [Landmark, number];

/** What the machine does when the keys of a way are pressed at their time; ms since the line answered. */
function callAlong(by: CallScript, caller: readonly CallerAct[]): readonly Due[] {
  const { transcript } = runTrial(by, {
    atMs: openMoment,
    callerNumber: '',
    caller,
    staff: () => ({ type: 'noAnswer' }),
  });
  return transcript.map(({ type, atMs }) => [type as Landmark, atMs - openMoment]);
}

function landmarksOf({ stretches, end, endMs }: Way): readonly Due[] {
  const marked = stretches.flatMap((each): Due[] => {
    if (each.type === 'ring' && each.target.type === 'anybody') return [];
    if (each.type === 'ring') return [[each.target.type === 'group' ? 'ringingGroup' : 'ringing', each.fromMs]];
    if (each.type === 'queue') return [['queued', each.fromMs]];
    return each.type === 'message' ? [['recording', each.fromMs]] : [];
  });
  if (end.type === 'menu' || end.type === 'again') return [...marked, ['sheet', endMs]];
  if (end.type === 'handedOver') return [...marked, ['handingOver', endMs]];
  const isOver = end.type === 'hungUp' || end.type === 'ranOut';
  return isOver ? [...marked, ['ended', endMs]] : marked;
}

/** An outside number is rung the same way, whether the call is handed over to it or not. */
function isSame(is: Landmark, drawn: Landmark): boolean {
  return is === drawn || (drawn === 'ringing' && is === 'handingOver');
}

/** Ways of which the machine can be asked by pressing keys at their time: no name is spelled, no wrong key more than once. */
function canBePressed(way: Way, ways: readonly Way[], by: Attendant): boolean {
  return wayBack(way, ways).every(({ turn, stretches }) => {
    if (stretches.some(({ type }) => type === 'digits') || turn?.type === 'queueFull') return false;
    if (turn?.type !== 'wrongKey') return true;
    const menu = findSheet(by, turn.sheetId);
    return menu?.type === 'menu' && menu.wrongKeys === 1 && menu.options.every(({ key }) => key !== '*');
  });
}

describe('the seconds of a way', () => {
  it('are those that the call machine takes, on any attendant, with groups, queues, extensions and hand-overs', () => {
    let compared = 0;
    fc.assert(
      fc.property(anyScript, (any) => {
        const [main, ...others] = any.lines as [LineScript, ...LineScript[]];
        const toMenu = { type: 'goTo' as const, sheetId: main.attendant.sheets[0]!.id };
        const rules = main.attendant.answering.rules.map((rule) => ({ ...rule, path: [toMenu, ...rule.path] }));
        const by = { ...main.attendant, answering: { ...main.attendant.answering, rules } };
        const groups = [{ ...moorings, extension: '25' }];
        const script = { ...any, groups, lines: [{ ...main, attendant: by }, ...others] };
        const { ways } = findWays(script, { atMs: openMoment, most: 60 });
        for (const way of ways) {
          if (!canBePressed(way, ways, by)) continue;
          const done = callAlong(script, actsOn(way, ways, by));
          const isDone = ([what, ms]: Due): boolean =>
            done.some(([type, at]) => isSame(type, what) && Math.abs(at - ms) <= 60);
          expect(landmarksOf(way).filter((due) => !isDone(due))).toEqual([]);
          compared += landmarksOf(way).length;
        }
      }),
      cases(800),
    );
    expect(compared).toBeGreaterThan(100);
  });

  it('count a recording at its own length', () => {
    const take = { id: 'take:one' as never, text: 'Hello.', audioId: 'a', lengthMs: 12_000 };
    const greeting = { id: 'greeting:one', name: 'One', words: 'Hello.', voice: 'slt', take: { takeId: take.id } };
    const say: Path[number] = { type: 'say', spoken: { type: 'greeting', greetingId: greeting.id as never } };
    const by = answering([say, ringFor(noor.id, 10), ...message], {
      ...{ greetings: [greeting as never], takes: [take as never] },
    });
    expect(found(by)[0]?.stretches[1]?.fromMs).toBeGreaterThanOrEqual(12_000);
  });

  it('wait no longer for a group’s extension than the menu does for its next digit', () => {
    const [welcome, ...others] = attendant.sheets;
    const sheets = [{ ...welcome, extensions: { waitSeconds: 3 } }, ...others] as Attendant['sheets'];
    const by = withAttendant({ ...attendant, sheets });
    const groups = [{ ...moorings, extension: '155' }];
    const toMoorings = (script: CallScript) =>
      found(script).find(({ turn }) => turn?.type === 'key' && turn.key === '1');
    const [none, group] = [toMoorings({ ...by, people: [] }), toMoorings({ ...by, people: [], groups })];
    expect((group?.fromMs ?? 0) - (none?.fromMs ?? 0)).toBe(3000);
  });
});

describe('the time map', () => {
  const options = { pxPerSecond: 10, rowPx: 24, leftPx: 100, endPx: 120 };

  it('gives each way a row, and runs time to the right', () => {
    const { rows, ticks, width, height } = layOut(found(), options);
    expect(rows.map(({ y }) => y)).toEqual([0, 24, 48, 72, 96, 120, 144]);
    expect(height).toBe(7 * 24);
    const [first, moorings] = rows;
    expect(first).toMatchObject({ x: 100, from: null, depth: 0 });
    expect(moorings).toMatchObject({ from: { y: 0, x: moorings?.x }, depth: 1 });
    // The menu itself is drawn where it is heard: opening words, four keys of which one is silent, closing words, the wait.
    expect(first?.blocks.map(({ type }) => type)).toEqual(['words', 'option', 'option', 'option', 'words', 'wait']);
    expect(moorings?.x).toBeCloseTo(100 + (moorings?.way.fromMs ?? 0) / 100);
    expect(moorings?.blocks[0]).toMatchObject({ type: 'ring', width: 240 });
    expect(ticks[0]).toEqual({ seconds: 0, x: 100 });
    expect(ticks[1]).toEqual({ seconds: 10, x: 200 });
    expect(width).toBeGreaterThan(Math.max(...rows.map(({ endX }) => endX)));
  });

  it('never lets two rows or two blocks of a row overlap, however it is zoomed', () => {
    fc.assert(
      fc.property(anyScript, fc.integer({ min: 1, max: 200 }), (any, pxPerSecond) => {
        const { ways } = findWays(any, { atMs: openMoment, once: true, most: 200 });
        const { rows } = layOut(ways, { ...options, pxPerSecond });
        for (const row of rows) {
          row.blocks.slice(1).forEach((block, index) => {
            const before = row.blocks[index];
            expect(block.x).toBeGreaterThanOrEqual((before?.x ?? 0) + (before?.width ?? 0) - 0.001);
          });
        }
        expect(new Set(rows.map(({ y }) => y)).size).toBe(rows.length);
      }),
    );
  });

  it('draws each menu where it is met first', () => {
    const ways = found(script, openMoment, { once: true });
    const menus = ways.filter(({ end }) => end.type === 'menu').map(({ end }) => 'sheetId' in end && end.sheetId);
    expect(new Set(menus).size).toBe(menus.length);
    expect(findSheet(attendant, welcomeId)?.name).toBe('Welcome');
    expect(office.name).toBe('Office');
  });
});
