import fc from 'fast-check';
import { type CallScript } from '../call';
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

/** Presses the keys of a way, each at the moment it was heard, and tells when the machine rings and ends. */
function callAlong(by: CallScript, way: Way, ways: readonly Way[]) {
  const turns = wayBack(way, ways);
  // Each key a little later than it was heard, and later than the one before it: menus begin that much later too.
  const caller = turns.flatMap(({ turn, fromMs }, index): CallerAct[] =>
    turn?.type === 'key' ? [{ type: 'press', key: turn.key, afterMs: fromMs + 3 * (index + 1) }] : [],
  );
  const { transcript } = runTrial(by, {
    atMs: openMoment,
    callerNumber: '+12075550178',
    caller,
    staff: () => ({ type: 'noAnswer' }),
  });
  return transcript.flatMap((entry) => (entry.type === 'ringing' ? [entry.atMs - openMoment] : []));
}

const isOnlyKeys = (way: Way, ways: readonly Way[]): boolean =>
  way.turn === null || (way.turn.type === 'key' && way.parent !== null && isOnlyKeys(ways[way.parent] as Way, ways));

describe('the seconds of a way', () => {
  it('are those that the call machine takes, on any attendant', () => {
    fc.assert(
      fc.property(anyScript, (any) => {
        // Keys that wait for digits, and hearing nothing before a key, are told apart in specs of their own.
        const quiet: CallScript = {
          ...any,
          people: any.people.map((person) => ({ ...person, phones: [{ type: 'desk', seconds: 12 }] })),
          lines: any.lines.map((each) => ({
            ...each,
            attendant: {
              ...each.attendant,
              sheets: each.attendant.sheets.map((sheet) =>
                sheet.type === 'menu' ? { ...sheet, extensions: null, openingWords: 'Please choose.' } : sheet,
              ),
            },
          })),
        };
        const { ways } = findWays(quiet, { atMs: openMoment, most: 40 });
        for (const way of ways.filter((each) => isOnlyKeys(each, ways))) {
          const rings = way.stretches.flatMap((stretch) =>
            stretch.type === 'ring' && stretch.target.type !== 'anybody' ? [stretch.fromMs] : [],
          );
          const asks = wayBack(way, ways).some(({ stretches }) => stretches.some(({ type }) => type === 'digits'));
          const isAfter = way.stretches.some(
            (stretch) => stretch.type === 'ring' && stretch.toMs - stretch.fromMs > 300_000,
          );
          if (asks || isAfter) continue;
          const called = callAlong(quiet, way, ways);
          const isCalled = (ms: number): boolean => called.some((at) => Math.abs(at - ms) <= 20);
          expect(rings.filter((ms) => !isCalled(ms))).toEqual([]);
        }
      }),
      cases(400),
    );
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
