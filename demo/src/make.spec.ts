import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '@locutor/server/app';
import { instantOf } from '@locutor/core/hours';
import { usesOf, type Attendant, type Line } from '@locutor/core/line';
import { faultsIn, unansweredIn, type Finding } from '@locutor/core/proof';
import type { Rehearsed } from '@locutor/core/rehearsals';
import { type CallScript } from '@locutor/core/call';
import { runTrial, type StaffAct } from '@locutor/core/exchange';
import { membersAt } from '@locutor/core/rota';
import { asker, type Ask } from './api';

const root = join(__dirname, '..', '..');
const dataDir = join(mkdtempSync(join(tmpdir(), 'locutor-demo-')), 'data');
let server: Awaited<ReturnType<typeof startServer>>;
let ask: Ask;
let script: CallScript;

beforeAll(async () => {
  execFileSync(process.execPath, [join(root, 'scripts', 'demoData.mjs')], { stdio: 'inherit' });
  cpSync(join(root, '.locutor', 'demo-data'), dataDir, { recursive: true });
  server = await startServer({ dataDir, webDir: null, port: 0 });
  ask = asker(server.url);
  const [line] = await ask<Line[]>('GET', '/api/lines');
  if (!line) throw new Error('The demo has no line');
  script = await ask<CallScript>('GET', `/api/lines/${line.id}/script`);
}, 120_000);

afterAll(async () => {
  await server.stop();
  rmSync(join(dataDir, '..'), { recursive: true, force: true });
});

const callAt = (reading: string, keys: readonly string[], staff: StaffAct) =>
  runTrial(script, {
    atMs: instantOf(reading, 'America/New_York'),
    callerNumber: 'anonymous',
    caller: keys.map((key, index) => ({ type: 'press' as const, key: key as '1', afterMs: 4000 * (index + 1) })),
    staff: () => staff,
  }).transcript;

describe('the boatyard', () => {
  it('has its people, boxes and messages, is on air and has no fault', async () => {
    expect(script.people).toHaveLength(17);
    expect(script.boxes.map(({ name }) => name).sort()).toEqual([
      'Accounts',
      'Moorings',
      'Office',
      'Parts',
      'Winter storage',
      'Yard',
    ]);
    expect(await ask<unknown[]>('GET', '/api/messages')).toHaveLength(3);
    expect((await ask<Line[]>('GET', '/api/lines'))[0]).toMatchObject({
      onAirVersionId: expect.stringContaining('version:'),
    });
    for (const line of script.lines) {
      const findings = await ask<Finding[]>('GET', `/api/lines/${line.id}/proof`);
      expect(faultsIn(findings)).toEqual([]);
      const accepted = await ask<{ key: string }[]>('GET', `/api/lines/${line.id}/proof/accepted`);
      expect(unansweredIn(findings, accepted)).toEqual([]);
    }
  });

  it('has other hours ahead for the shed, and recordings that wait to be made', async () => {
    const shed = script.lines.find(({ name }) => name === 'Storage shed');
    expect(shed?.hours.datedWeeks).toMatchObject([{ name: 'Deep winter' }]);
    const [session] = await ask<{ name: string; places: string[] }[]>('GET', '/api/recording-sessions');
    expect(session).toMatchObject({ name: 'After hours' });
    expect(session?.places).toHaveLength(5);
  });

  it('has its groups, its spring queue and the codes of its boxes', () => {
    const orders = Object.fromEntries(script.groups.map(({ name, order, members }) => [name, [order, members.length]]));
    expect(orders).toEqual({
      'Front desk': ['allAtOnce', 2],
      Moorings: ['takingTurns', 2],
      'Parts counter': ['inOrder', 2],
      Yard: ['longestFree', 4],
      'On call': ['onCall', 3],
    });
    expect(script.queues).toMatchObject([{ name: 'Spring launch line', mostCallers: 8, longestWaitSeconds: 180 }]);
    expect(script.queues[0]?.members).toHaveLength(6);
    expect(script.boxes.find(({ name }) => name === 'Yard')?.code).toBe('*23');
  });

  it('has a year of calls in its log: busy by day, quiet at night, some of them lost', async () => {
    const { inAll } = await ask<{ inAll: number }>('GET', '/api/calls');
    expect(inAll).toBeGreaterThan(800);
    for (const outcome of ['answered', 'message', 'gaveUpInMenu', 'blocked']) {
      expect((await ask<{ inAll: number }>('GET', `/api/calls?outcome=${outcome}`)).inAll).toBeGreaterThan(3);
    }
    const { calls } = await ask<{ calls: { startedAt: number }[] }>('GET', '/api/calls');
    const hours = calls.map(({ startedAt }) => new Date(startedAt - 5 * 3_600_000).getUTCHours());
    expect(hours.filter((hour) => hour >= 7 && hour < 18).length).toBeGreaterThan(calls.length * 0.7);
  });

  it('lets a caller wait in the queue as long as it may be, and then leave a message', () => {
    const queued = runTrial(script, {
      atMs: instantOf('2026-11-23T10:00', 'America/New_York'),
      callerNumber: 'anonymous',
      caller: [5000, 15_000, 25_000].map((afterMs, at) => ({ type: 'press', key: at === 0 ? '2' : '1', afterMs })),
      staff: () => ({ type: 'noAnswer' }),
    }).transcript;
    expect(queued).toContainEqual(expect.objectContaining({ type: 'leftQueue', why: 'tooLong', waitedMs: 180_000 }));
    expect(queued.at(-1)).toMatchObject({ type: 'ended', reason: 'messageTaken' });
  });

  it('has no sheet that nothing leads to', () => {
    const unused = (attendant: Attendant) => attendant.sheets.filter(({ id }) => usesOf(attendant, id).length === 0);
    expect(script.lines.flatMap(({ attendant }) => unused(attendant))).toEqual([]);
  });

  it('lets a caller whose boat takes on water reach the yard at any hour', () => {
    const answers: StaffAct = { type: 'answer', afterMs: 3000, talkMs: 1000 };
    for (const [reading, key] of [
      ['2026-11-23T10:00', '*'],
      ['2026-11-22T03:00', '1'],
    ] as const) {
      const answered = callAt(reading, [key], answers).find((entry) => entry.type === 'answered');
      const onCall = script.groups.find(({ name }) => name === 'On call');
      const atMs = instantOf(reading, script.lines[0]?.timeZone ?? 'UTC');
      const [first] = onCall ? membersAt(onCall, script.lines[0]?.timeZone ?? 'UTC', atMs) : [];
      expect(answered).toMatchObject({ phone: { personId: first?.personId } });
    }
  });

  it('says at lunch that the front desk is away, and still answers', () => {
    const said = callAt('2026-11-23T12:10', [], { type: 'noAnswer' }).flatMap((entry) =>
      entry.type === 'said' ? [entry.text] : [],
    );
    expect(said[0]).toBe('The front desk is at lunch until half past twelve.');
    expect(said).toContain('Thank you for calling Larkspur Cove Boatyard.');
  });

  it('hands callers over between its two lines, and speaks French on key 9', () => {
    const [main, shed] = script.lines;
    const toMain = runTrial(
      { ...script, lineId: shed?.id ?? script.lineId },
      {
        atMs: instantOf('2026-11-24T10:00', 'America/New_York'),
        callerNumber: 'anonymous',
        caller: [{ type: 'press', key: '0', afterMs: 4000 }],
        staff: () => ({ type: 'noAnswer' }),
      },
    ).transcript;
    expect(toMain).toContainEqual(expect.objectContaining({ type: 'line', lineId: main?.id }));
    expect(callAt('2026-11-23T10:00', ['9'], { type: 'noAnswer' })).toContainEqual(
      expect.objectContaining({ type: 'said', text: 'Pour une place à quai, appuyez sur 1.' }),
    );
  });

  it('lets a call that nobody answers end in a message', () => {
    const last = callAt('2026-11-23T10:00', ['3'], { type: 'noAnswer' }).at(-1);
    expect(last).toMatchObject({ type: 'ended', reason: 'messageTaken' });
  });
});

describe('its rehearsals', () => {
  it('all go as they should', async () => {
    const [line] = await ask<Line[]>('GET', '/api/lines');
    const runs = await ask<Rehearsed[]>('POST', `/api/lines/${line?.id}/rehearsals/run`, {});
    expect(runs.length).toBeGreaterThan(15);
    expect(runs.filter(({ failed }) => failed.length > 0)).toEqual([]);
  });
});
