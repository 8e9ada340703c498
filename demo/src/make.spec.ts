import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '@locutor/server/app';
import type { Box, Person } from '@locutor/core/directory';
import { instantOf, type Hours } from '@locutor/core/hours';
import { usesOf, type Attendant, type Greeting, type Line } from '@locutor/core/line';
import { proof } from '@locutor/core/proof';
import { runTrial, type CallScript, type StaffAct } from '@locutor/core/call';
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
  const { attendant } = await ask<{ attendant: Attendant }>('GET', `/api/lines/${line.id}/draft`);
  script = {
    attendant,
    timeZone: line.timeZone,
    hours: await ask<Hours>('GET', `/api/hours/${line.hoursId}`),
    people: await ask<Person[]>('GET', '/api/people'),
    boxes: await ask<Box[]>('GET', '/api/boxes'),
    greetings: await ask<Greeting[]>('GET', '/api/greetings'),
  };
}, 120_000);

afterAll(async () => {
  await server.app.close();
  rmSync(join(dataDir, '..'), { recursive: true, force: true });
});

const callAt = (reading: string, keys: readonly string[], staff: StaffAct) =>
  runTrial(script, {
    atMs: instantOf(reading, script.timeZone),
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
    expect(proof(script)).toEqual([]);
  });

  it('has no sheet that nothing leads to', () => {
    const { attendant } = script;
    expect(attendant.sheets.filter((sheet) => usesOf(attendant, sheet.id).length === 0)).toEqual([]);
  });

  it('lets a caller whose boat takes on water reach the yard at any hour', () => {
    const answers: StaffAct = { type: 'answer', afterMs: 3000, talkMs: 1000 };
    for (const [reading, key] of [
      ['2026-11-23T10:00', '*'],
      ['2026-11-22T03:00', '1'],
    ] as const) {
      const answered = callAt(reading, [key], answers).find((entry) => entry.type === 'answered');
      const bram = script.people.find(({ name }) => name === 'Bram Lindqvist');
      expect(answered).toMatchObject({ personId: bram?.id });
    }
  });

  it('says at lunch that the front desk is away, and still answers', () => {
    const said = callAt('2026-11-23T12:10', [], { type: 'noAnswer' }).flatMap((entry) =>
      entry.type === 'said' ? [entry.text] : [],
    );
    expect(said[0]).toBe('The front desk is at lunch until half past twelve.');
    expect(said).toContain('Thank you for calling Larkspur Cove Boatyard.');
  });

  it('lets a call that nobody answers end in a message', () => {
    const last = callAt('2026-11-23T10:00', ['3'], { type: 'noAnswer' }).at(-1);
    expect(last).toMatchObject({ type: 'ended', reason: 'messageTaken' });
  });
});
