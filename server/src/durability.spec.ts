import { DataSource } from 'typeorm';
import { boatyardFacts, testServer, type TestServer } from './testing/testServer';
import { airDraft } from './testing/airDraft';

let server: TestServer;
beforeEach(async () => {
  server = await testServer();
});
afterEach(() => server.stop());

describe('the database', () => {
  it('is in write-ahead-log mode, synced to the disk, with foreign keys on', async () => {
    const database = server.app.get(DataSource);
    const pragma = async (name: string): Promise<unknown> =>
      Object.values(((await database.query(`PRAGMA ${name}`)) as object[])[0] ?? {})[0];
    expect(await pragma('journal_mode')).toBe('wal');
    expect(await pragma('foreign_keys')).toBe(1);
    expect(await pragma('synchronous')).toBe(2);
  });

  it('was made by migrations that leave nothing for the entities to add', async () => {
    const database = server.app.get(DataSource);
    const { upQueries } = await database.driver.createSchemaBuilder().log();
    const columns = upQueries.filter(({ query }) => /ADD COLUMN|DROP COLUMN/i.test(query));
    expect(columns).toEqual([]);
    const tables = (await database.query("SELECT name FROM sqlite_master WHERE type = 'table'")) as { name: string }[];
    const expected = database.entityMetadatas.map((entity) => entity.tableName);
    expect(tables.map(({ name }) => name)).toEqual(expect.arrayContaining(expected));
  });

  it('does not let a row go that another needs', async () => {
    await server.ask('post', '/api/start', boatyardFacts);
    const database = server.app.get(DataSource);
    await expect(database.query('DELETE FROM hours')).rejects.toThrow(/FOREIGN KEY/);
  });
});

describe('saving at the same time', () => {
  it('lets exactly one of many win, and tells the others the newer revision', async () => {
    const { body: line } = await server.ask('post', '/api/start', boatyardFacts);
    const path = `/api/lines/${line.id}/draft`;
    const { body: draft } = await server.ask('get', path);
    const answers = await Promise.all(
      ['slt', 'rms', 'awb', 'kal16'].map((voice) =>
        server.ask('put', path, { revision: 1, attendant: { ...draft.attendant, voice } }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    const refused = answers.filter(({ status }) => status === 409);
    expect(refused.every(({ body }) => body.revision === 2)).toBe(true);
    const winner = answers.findIndex(({ status }) => status === 200);
    expect((await server.ask('get', path)).body.attendant.voice).toBe(['slt', 'rms', 'awb', 'kal16'][winner]);
  });

  it('lets one of two put the same draft on air, and tells the other', async () => {
    const { body: line } = await server.ask('post', '/api/start', boatyardFacts);
    const path = `/api/lines/${line.id}/versions`;
    const asked = (by: string) => server.ask('post', path, { draftRevision: 1, by, replaces: null });
    const answers = await Promise.all([asked('Tamsin'), asked('Odile')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
    expect(answers.find(({ status }) => status === 409)?.body.detail).toMatch(
      /^(Tamsin|Odile) has put version 1 on air/,
    );
    const { body: versions } = await server.ask('get', path);
    expect(versions.map(({ number, onAir }: { number: number; onAir: boolean }) => [number, onAir])).toEqual([
      [1, true],
    ]);
  });
});

describe('the line', () => {
  it('is renamed and moved to another zone, from the revision it had', async () => {
    const { body: line } = await server.ask('post', '/api/start', boatyardFacts);
    const path = `/api/lines/${line.id}`;
    const changed = await server.ask('patch', path, {
      revision: 1,
      timeZone: 'America/Halifax',
      number: '207 555 0155',
    });
    expect(changed.body).toMatchObject({ timeZone: 'America/Halifax', number: '+12075550155', revision: 2 });
    expect(await server.ask('patch', path, { revision: 1, name: 'Other' })).toMatchObject({ status: 409 });
    expect(await server.ask('patch', path, { revision: 2, timeZone: 'Nowhere' })).toMatchObject({ status: 422 });
    expect(await server.ask('get', '/api/lines/line:none')).toMatchObject({ status: 404 });
  });
});

describe('a large attendant', () => {
  it('of 200 menus is taken, given back and put on air', async () => {
    const { body: line } = await server.ask('post', '/api/start', boatyardFacts);
    const path = `/api/lines/${line.id}/draft`;
    const { body: draft } = await server.ask('get', path);
    const [welcome, closed] = draft.attendant.sheets;
    const many = Array.from({ length: 200 }, (_, index) => ({
      ...welcome,
      id: `sheet:m${index}`,
      name: `Menu ${index}`,
    }));
    const attendant = { ...draft.attendant, sheets: [welcome, closed, ...many] };
    expect(await server.ask('put', path, { revision: 1, attendant })).toMatchObject({ status: 200 });
    expect((await server.ask('get', path)).body.attendant.sheets).toHaveLength(202);
    expect(await airDraft(server, line.id, 2)).toMatchObject({
      status: 201,
    });
  });
});
