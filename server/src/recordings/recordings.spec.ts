import request from 'supertest';
import { placeOfText } from '@locutor/core/line';
import { writeWav } from '@locutor/core/audio';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
});
afterAll(() => server.stop());

const words = 'Are you still there?';
const place = placeOfText('en', words);

async function take(of = place): Promise<string> {
  const samples = Float32Array.from({ length: 16_000 }, (_, index) => Math.sin(index / 8) / 3);
  const sent = await request(server.app.getHttpServer())
    .post('/api/takes')
    .set('Host', '127.0.0.1')
    .field({ place: of, source: 'microphone' })
    .attach('audio', Buffer.from(writeWav({ samples, rateHz: 16_000 })), 'still.wav');
  return (sent.body as { id: string }).id;
}

const put = (body: object) => server.ask('put', '/api/recordings', body);

describe('recordings of any text', () => {
  it('belong to its words, and go into what calls go by', async () => {
    const takeId = await take();
    const use = { takeId, byVoice: false };
    const { body } = await put({ language: 'en', words, take: use });
    expect(body).toEqual([{ place, language: 'en', words, take: use, live: [] }]);
    const { body: lines } = await server.ask('get', '/api/lines');
    const { body: script } = await server.ask('get', `/api/lines/${lines[0].id}/script?which=draft`);
    expect(script.recordings).toMatchObject([{ words, take: use }]);
    expect((script.takes as { id: string }[]).map(({ id }) => id)).toContain(takeId);
    const again = await take();
    expect((await put({ language: 'en', words: `  ${words} `, take: { ...use, takeId: again } })).body).toHaveLength(1);
    expect((await put({ language: 'en', words, take: null })).body).toEqual([]);
  });

  it('keep what live parts said when they were made', async () => {
    const use = { takeId: await take(), byVoice: true };
    const live = [{ part: { type: 'business' }, said: 'Larkspur Cove' }];
    const body = { language: 'en', words: '{business} is closed.', take: use, live: JSON.stringify(live) };
    expect((await put(body)).body).toMatchObject([{ live }]);
  });

  it.each([
    [{ language: 'xx', words, take: null }, 'The language must be one'],
    [{ language: 'en', words: '', take: null }, 'The text is missing.'],
    [{ language: 'en', words, take: { takeId: 'take:gone', byVoice: false } }, 'That recording'],
    [{ language: 'en', words, take: { takeId: 'x', byVoice: false } }, 'That is not the id of a recording.'],
    [{ language: 'en', words, take: null, live: '[{}]' }, ''],
  ])('refuse %j', async (body, why) => {
    const { status, body: problem } = await put(body);
    if (why === '') return expect(status).toBeLessThan(500);
    expect([404, 422]).toContain(status);
    expect(JSON.stringify(problem)).toContain(why);
  });
});

describe('hold music of one’s own', () => {
  const bring = (fields: object) =>
    request(server.app.getHttpServer())
      .post('/api/takes')
      .set('Host', '127.0.0.1')
      .field({ place: 'music', source: 'file', ...fields })
      .attach(
        'audio',
        Buffer.from(writeWav({ samples: new Float32Array(16_000).fill(0.1), rateHz: 16_000 })),
        'waltz.wav',
      );

  it('is taken only once somebody says that there is a right to it, and is what calls play', async () => {
    const refused = await bring({});
    expect([refused.status, refused.body.errors[0].says]).toEqual([422, expect.stringContaining('have the right')]);
    const samples = Float32Array.from({ length: 16_000 }, (_, index) => Math.sin(index / 6) / 2);
    const { body: piece } = await request(server.app.getHttpServer())
      .post('/api/takes')
      .set('Host', '127.0.0.1')
      .field({ place: 'music', source: 'file', rights: 'yes' })
      .attach('audio', Buffer.from(writeWav({ samples, rateHz: 16_000 })), 'waltz.wav');
    const { body: settings } = await server.ask('get', '/api/settings');
    const change = (holdMusic: string, revision: number) =>
      server.ask('patch', '/api/settings', { revision, holdMusic });
    expect((await change('disco', settings.revision)).status).toBe(422);
    expect((await change(piece.id, settings.revision)).body.holdMusic).toBe(piece.id);
    const { body: lines } = await server.ask('get', '/api/lines');
    const { body: script } = await server.ask('get', `/api/lines/${lines[0].id}/script?which=draft`);
    expect(script.holdMusic).toBe(piece.id);
    expect((script.takes as { id: string }[]).map(({ id }) => id)).toContain(piece.id);
  });
});

describe('a recording session', () => {
  it('is begun, listed with the newest first, and taken off the list', async () => {
    const begin = (name: string) => server.ask('post', '/api/recording-sessions', { name, places: [place] });
    const { status, body: first } = await begin('After hours');
    expect([status, first.places]).toEqual([201, [place]]);
    server.clock.pass(1000);
    await begin('Welcome');
    const { body: list } = await server.ask('get', '/api/recording-sessions');
    expect((list as { name: string }[]).map(({ name }) => name)).toEqual(['Welcome', 'After hours']);
    expect((await server.ask('delete', `/api/recording-sessions/${first.id}`)).status).toBe(204);
    expect((await server.ask('delete', `/api/recording-sessions/${first.id}`)).status).toBe(404);
  });

  it.each([[[]], [['everything']], [[place, place]]])('refuses %j', async (places) => {
    expect((await server.ask('post', '/api/recording-sessions', { name: 'X', places })).status).toBe(422);
  });
});
