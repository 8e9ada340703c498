import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '@locutor/server/app';
import { instantOf } from '@locutor/core/hours';
import { usesOf, type Attendant, type Line } from '@locutor/core/line';
import { faultsIn, proof } from '@locutor/core/proof';
import { type CallScript } from '@locutor/core/call';
import { runTrial, type StaffAct } from '@locutor/core/exchange';
import { asker, type Ask } from './api';
import { makeDemo } from './make';

const dataDir = join(mkdtempSync(join(tmpdir(), 'locutor-demo-')), 'data');
let server: Awaited<ReturnType<typeof startServer>>;
let ask: Ask;
let script: CallScript;

beforeAll(async () => {
  await makeDemo(dataDir);
  server = await startServer({ dataDir, webDir: null, port: 0 });
  ask = asker(server.url);
  const [line] = await ask<Line[]>('GET', '/api/lines');
  if (!line) throw new Error('The demo has no line');
  script = await ask<CallScript>('GET', `/api/lines/${line.id}/script`);
}, 120_000);

afterAll(async () => {
  await server.app.close();
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
      const { attendant, hours, number } = line;
      expect(faultsIn(proof({ ...script, attendant, hours, number, today: '2026-11-23' }))).toEqual([]);
    }
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
      const bram = script.people.find(({ name }) => name === 'Bram Lindqvist');
      expect(answered).toMatchObject({ phone: { personId: bram?.id } });
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
