import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let path: string;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  const [line] = (await server.ask('get', '/api/lines')).body;
  path = `/api/lines/${line.id}/draft`;
});
afterAll(() => server.stop());

const damage = (text: string): Promise<unknown> =>
  server.app.get(DataSource).query('UPDATE "draft" SET "attendant" = ?', [text]);

describe('a draft that cannot be read', () => {
  let sound: { revision: number; attendant: object };
  beforeAll(async () => {
    sound = (await server.ask('get', path)).body;
  });

  it.each([
    ['broken JSON', '{"schemaVersion":', /cannot be read/],
    ['no attendant', '[]', /cannot be read/],
    ['of a later release', '{"schemaVersion":99}', /newer Locutor/],
  ])('that is %s is said, with its revision, and nothing else stops', async (_, text, says) => {
    await damage(text);
    const answer = await server.ask('get', path);
    expect(answer).toMatchObject({ status: 500, type: 'application/problem+json' });
    expect(answer.body).toMatchObject({ type: '/problems/unreadable', revision: sound.revision });
    expect(answer.body.detail).toMatch(says);
    for (const other of ['/api/lines', '/api/people', '/api/messages', '/api/hours']) {
      expect((await server.ask('get', other)).status).toBe(200);
    }
  });

  it('is begun anew from another, and the old one is put aside', async () => {
    await damage('{"schemaVersion":99,"words":"of tomorrow"}');
    const body = { revision: sound.revision, attendant: sound.attendant };
    expect((await server.ask('post', `${path}/begin-again`, body)).status).toBe(200);
    expect((await server.ask('get', path)).body).toMatchObject({
      revision: sound.revision + 1,
      attendant: sound.attendant,
    });
    const folder = join(server.dataDir, 'set-aside');
    const [file = ''] = readdirSync(folder);
    expect(readFileSync(join(folder, file), 'utf8')).toContain('of tomorrow');
  });

  it('is not begun anew where it can be read, nor from something that is none', async () => {
    const { body: now } = await server.ask('get', path);
    const again = await server.ask('post', `${path}/begin-again`, { revision: now.revision, attendant: now.attendant });
    expect(again).toMatchObject({ status: 409, body: { detail: expect.stringContaining('can be read') } });
    await damage('{');
    expect((await server.ask('post', `${path}/begin-again`, { revision: now.revision, attendant: {} })).status).toBe(
      422,
    );
  });
});
