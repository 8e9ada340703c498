import type { AddressInfo } from 'node:net';
import { WebSocket } from 'ws';
import { entities } from '../database/entities';
import { getMetadataArgsStorage } from 'typeorm';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { answersOf } from './answersOf';
import type { Change } from './changes.service';

let server: TestServer;
let lineId: string;
let told: readonly Change[][];
let socket: WebSocket;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  lineId = (await server.ask('get', '/api/lines')).body[0].id;
  await server.app.listen(0, '127.0.0.1');
  const http = server.app.getHttpServer();
  socket = new WebSocket(`ws://127.0.0.1:${(http.address() as AddressInfo).port}/api/live/changes`);
  socket.on('message', (data: Buffer) => {
    const { changes } = JSON.parse(String(data)) as { changes: Change[] };
    told = [...told, changes];
  });
  await new Promise((resolve) => socket.once('open', resolve));
});
afterAll(async () => {
  socket.terminate();
  await server.stop();
});
beforeEach(async () => {
  await server.clock.pass(1000);
  told = [];
});

const heard = async (): Promise<readonly string[]> => {
  await server.clock.until(() => (told.length > 0 ? true : undefined), 5000);
  return told.flat().map(({ path }) => path);
};

describe('an idle window', () => {
  it('hears that somebody was renamed', async () => {
    const [noor] = (await server.ask('get', '/api/people')).body;
    await server.ask('patch', `/api/people/${noor.id}`, { name: 'Noor Wells', revision: noor.revision });
    expect(await heard()).toEqual(['/api/names', '/api/uses', '/api/people', '/api/leavers', '/api/lines/*/script']);
  });

  it('hears of a saved draft, and of which revision, so that who saved it need not ask', async () => {
    const path = `/api/lines/${lineId}/draft`;
    const draft = (await server.ask('get', path)).body;
    await server.ask('put', path, { revision: draft.revision, attendant: { ...draft.attendant, voice: 'rms' } });
    expect(await heard()).toContain('/api/lines/*/draft');
    expect(told.flat().find(({ path: each }) => each === '/api/lines/*/draft')?.revision).toBe(draft.revision + 1);
  });

  it('hears of hours, the switch and a new box', async () => {
    const [hours] = (await server.ask('get', '/api/hours')).body;
    await server.ask('put', `/api/hours/${hours.id}`, { ...hours, id: undefined, name: 'Yard hours' });
    expect(await heard()).toContain('/api/hours');
    told = [];
    const untilMs = server.clock.now() + 3_600_000;
    const body = { to: { type: 'closed' }, untilMs, words: '', by: 'Noor', replaces: null };
    expect((await server.ask('put', `/api/lines/${lineId}/switch`, body)).status).toBeLessThan(300);
    expect(await heard()).toContain('/api/lines/*/switch');
    told = [];
    await server.ask('post', '/api/boxes', { name: 'Parts' });
    expect(await heard()).toContain('/api/boxes');
  });

  it('hears nothing of what was refused or only looked at', async () => {
    await server.ask('get', '/api/people');
    await server.ask('post', '/api/boxes', { name: '' });
    await server.clock.pass(2000);
    expect(told).toEqual([]);
  });

  it('hears once of what changes in the same moment', async () => {
    await Promise.all(['North', 'South'].map((name) => server.ask('post', '/api/boxes', { name })));
    await heard();
    await server.clock.pass(1000);
    expect(told.flat().filter(({ path }) => path === '/api/boxes').length).toBeLessThanOrEqual(2);
  });
});

describe('what changes with a table', () => {
  it('is said for every table', () => {
    const tables = getMetadataArgsStorage().tables.filter(({ target }) => (entities as unknown[]).includes(target));
    expect(tables.map(({ name }) => name).sort()).toEqual(Object.keys(answersOf).sort());
  });
});
