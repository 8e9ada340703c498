import { join } from 'node:path';
import Database from 'better-sqlite3';
import { DataSource } from 'typeorm';
import { airDraft } from '../testing/airDraft';
import { LiveClient } from '../testing/liveClient';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { WorkStopped } from '../workers';
import type { HandsetHears } from '@locutor/core/exchange';

let server: TestServer;
let database: DataSource;
beforeEach(async () => {
  server = await testServer();
  database = server.app.get(DataSource);
});
afterEach(() => server.stop());

const settle = () => new Promise((resolve) => setImmediate(resolve));
const presences = async () =>
  ((await database.query('SELECT personId FROM presence ORDER BY personId')) as { personId: string }[]).map(
    ({ personId }) => personId,
  );
const insert = (personId: string) => `INSERT INTO presence (personId, presence) VALUES ('${personId}', 'busy')`;

describe('a database that is closed', () => {
  it('tells whoever still asks, as for somebody who hung up, that the server stops', async () => {
    const runner = database.createQueryRunner();
    await database.destroy();
    await expect(runner.query('SELECT personId FROM presence')).rejects.toBeInstanceOf(WorkStopped);
    await database.initialize();
  });
});

describe('what is saved at the same time', () => {
  it('is not undone with a transaction of somebody else', async () => {
    let fail: () => void = () => undefined;
    const hasFailed = new Promise<void>((_, reject) => (fail = () => reject(new Error('given up'))));
    const transaction = database.transaction(async (rows) => {
      await rows.query(insert('person:first'));
      await hasFailed;
    });
    const other = database.query(insert('person:second'));
    await settle();
    fail();
    await expect(transaction).rejects.toThrow('given up');
    await other;
    expect(await presences()).toEqual(['person:second']);
  });

  it('is not answered as saved before a transaction that it would be undone with', async () => {
    const order: string[] = [];
    const transactions = ['a', 'b', 'c'].map((name) =>
      database.transaction(async (rows) => {
        order.push(`${name} begins`);
        await rows.query(insert(`person:${name}`));
        await settle();
        order.push(`${name} ends`);
      }),
    );
    await Promise.all(transactions);
    expect(order).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
    expect(await presences()).toEqual(['person:a', 'person:b', 'person:c']);
  });

  it('does not come into a transaction, when one asks several things at once beside it', async () => {
    const runner = database.createQueryRunner();
    const both = Promise.all([runner.query(insert('person:one')), runner.query(insert('person:two'))]);
    const transaction = database.transaction(async (rows) => {
      await rows.query(insert('person:lost'));
      await settle();
      throw new Error('given up');
    });
    await expect(transaction).rejects.toThrow('given up');
    await both;
    await runner.release();
    expect(await presences()).toEqual(['person:one', 'person:two']);
  });

  it('is not kept alone when the database has undone its transaction by itself', async () => {
    const transaction = database.transaction(async (rows) => {
      await rows.query(insert('person:first'));
      await rows.query('ROLLBACK');
      await rows.query(insert('person:alone'));
    });
    await expect(transaction).rejects.toThrow('The transaction was undone by the database');
    expect(await presences()).toEqual([]);
  });

  it('goes on after a transaction that failed in whatever way', async () => {
    await expect(database.transaction((rows) => rows.query('INSERT INTO nowhere VALUES (1)'))).rejects.toThrow();
    await expect(
      database.transaction(async (rows) => {
        await rows.query(insert('person:lost'));
        await rows.query('ROLLBACK');
        throw new Error('undone already');
      }),
    ).rejects.toThrow('undone already');
    const abandoned = database.createQueryRunner();
    await abandoned.startTransaction();
    await abandoned.query(insert('person:abandoned'));
    await abandoned.release();
    await database.query(insert('person:kept'));
    expect(await presences()).toEqual(['person:kept']);
  });
});

describe('while another program has the database locked', () => {
  let locker: Database.Database;
  beforeEach(async () => {
    const line = (await server.ask('post', '/api/start', boatyardFacts)).body;
    await airDraft(server, line.id, 1);
    locker = new Database(join(server.dataDir, 'locutor.sqlite'));
    locker.exec('BEGIN IMMEDIATE');
  });
  afterEach(() => locker.close());

  const saves = async () => {
    const [{ id, revision }] = (await server.ask('get', '/api/people')).body;
    return server.ask('patch', `/api/people/${id}`, { revision, name: 'Mairead Okonjo' });
  };

  it('what is only read is answered, calls go on, and what is saved meanwhile is saved once it lets go', async () => {
    await server.app.listen(0, '127.0.0.1');
    const saved = saves();
    const phone = await new LiveClient<HandsetHears>(server, 'handset').open();
    phone.say({ type: 'dial', number: boatyardFacts.number, callerNumber: '' });
    await phone.hears(({ type }) => type === 'call');
    phone.say({ type: 'hangUp' });
    await phone.hears(({ type }) => type === 'ended');
    expect((await server.ask('get', '/api/people')).body).toHaveLength(2);
    locker.exec('COMMIT');
    expect((await saved).status).toBeLessThan(300);
    await server.clock.pass(1000);
    await server.clock.until(
      async () => ((await server.ask('get', '/api/calls')).body.calls?.length > 0 ? true : undefined),
      5000,
    );
  });

  it('is said with the folder, if it lasts, and nothing is changed', async () => {
    const { status, body } = await saves();
    expect(status).toBe(503);
    expect(body.detail).toContain(`The database in ${server.dataDir} is locked by another program`);
    expect(body.type).toBe('/problems/storage');
    locker.exec('ROLLBACK');
    expect((await server.ask('get', '/api/people')).body).toEqual(
      expect.arrayContaining([expect.objectContaining({ name: 'Noor Haldane' })]),
    );
  }, 20_000);
});
