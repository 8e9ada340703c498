import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { dataSourceOptions } from './database/dataSource';
import { FirstTables1700000001000 } from './database/migrations/1700000001-firstTables';
import { testServer } from './testing/testServer';

/** What an earlier release left in its folder: the first tables, and an attendant of the first schema version. */
async function earlierData(): Promise<string> {
  const dataDir = mkdtempSync(join(tmpdir(), 'locutor-spec-'));
  const options = { ...dataSourceOptions(dataDir), migrations: [FirstTables1700000001000], entities: [] };
  const database = await new DataSource(options).initialize();
  const open = { id: 'period:open', name: 'Open' };
  const week = [{ periodId: open.id, day: 1, startMin: 480, endMin: 1050 }];
  const ring = { type: 'ring', personId: 'person:noor', seconds: 24 };
  const attendant = {
    schemaVersion: 1,
    voice: 'slt',
    sheets: [],
    answering: {
      rules: [{ periodId: open.id, path: [ring, { type: 'takeMessage', boxId: 'box:office' }] }],
      otherwise: [{ type: 'hangUp', words: 'We are closed.' }],
    },
  };
  const insert = (table: string, row: Record<string, unknown>): Promise<unknown> => {
    const columns = Object.keys(row).map((name) => `"${name}"`);
    const marks = columns.map(() => '?').join(', ');
    return database.query(`INSERT INTO "${table}" (${columns.join(', ')}) VALUES (${marks})`, Object.values(row));
  };
  await insert('hours', {
    id: 'hours:main',
    name: 'Business hours',
    periods: JSON.stringify([open]),
    week: JSON.stringify(week),
  });
  await insert('person', { id: 'person:noor', name: 'Noor Haldane', extension: '212' });
  await insert('box', { id: 'box:office', name: 'Office', longestMessageSeconds: 60 });
  await insert('line', {
    id: 'line:main',
    name: 'Larkspur Cove Boatyard',
    number: '+12075550140',
    timeZone: 'America/New_York',
    hoursId: 'hours:main',
  });
  await insert('draft', { lineId: 'line:main', attendant: JSON.stringify(attendant), savedAt: 1 });
  await insert('version', {
    id: 'version:one',
    lineId: 'line:main',
    number: 1,
    attendant: JSON.stringify(attendant),
    greetings: '[]',
    draftRevision: 1,
    onAirAt: 1,
  });
  await database.query(`UPDATE "line" SET "onAirVersionId" = 'version:one'`);
  await insert('message', {
    id: 'message:one',
    boxId: 'box:office',
    callerNumber: 'anonymous',
    leftAt: 1,
    trial: 0,
    lengthMs: 1000,
    audioId: 'a'.repeat(64),
  });
  await database.destroy();
  return dataDir;
}

describe('the data of an earlier release', () => {
  it('is opened as today’s, with nothing lost, and still answers', async () => {
    const server = await testServer({ dataDir: await earlierData() });
    const { body: people } = await server.ask('get', '/api/people');
    expect(people).toMatchObject([
      { name: 'Noor Haldane', extension: '212', phones: [{ type: 'desk', seconds: 12 }], inDirectory: true, email: '' },
    ]);
    expect((await server.ask('get', '/api/boxes')).body).toMatchObject([{ beep: true, tell: [], ownerId: null }]);
    expect((await server.ask('get', '/api/messages')).body).toMatchObject([{ tell: [], heard: false }]);
    const { body: draft } = await server.ask('get', '/api/lines/line:main/draft');
    expect(draft.attendant).toMatchObject({
      schemaVersion: 6,
      paths: [],
      answering: { rules: [{ type: 'period', path: [{ type: 'ring', before: '', hear: { type: 'ringback' } }, {}] }] },
    });
    const trial = { atMs: 1795446000000, callerNumber: 'anonymous', caller: [], staff: { type: 'noAnswer' } };
    const { body } = await server.ask('post', '/api/lines/line:main/trials', { of: 'onAir', trials: [trial] });
    expect(body[0].transcript).toContainEqual(expect.objectContaining({ type: 'message', boxId: 'box:office' }));
    await server.stop();
  });

  it('still accepts an attendant written for the earlier schema', async () => {
    const server = await testServer({ dataDir: await earlierData() });
    const attendant = { schemaVersion: 1, voice: 'rms', sheets: [], answering: { rules: [], otherwise: [] } };
    const saved = await server.ask('put', '/api/lines/line:main/draft', { revision: 1, attendant });
    expect(saved.status).toBe(200);
    expect((await server.ask('get', '/api/lines/line:main/draft')).body.attendant).toEqual({
      schemaVersion: 6,
      voice: 'rms',
      sheets: [],
      paths: [],
      fallbacks: [],
      answering: { rules: [], otherwise: [] },
    });
    await server.stop();
  });
});
