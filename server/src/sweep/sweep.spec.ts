import { existsSync, mkdirSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { writeMuLawWav } from '@locutor/core/audio';
import type { BoxId } from '@locutor/core/directory';
import type { AudioId } from '../audio/audioId';
import { AudioStore } from '../audio/audioStore';
import { MessagesService } from '../messages/messages.service';
import { spokenOf } from '../reckoning/spoken';
import { SpokenSentenceEntity } from '../speech/spokenSentence.entity';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { SweepService } from './sweep.service';

const day = 86_400_000;
let server: TestServer;
let store: AudioStore;
let boxId: string;

beforeEach(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  boxId = (await server.ask('get', '/api/boxes')).body[0].id;
  store = server.app.get(AudioStore);
});
afterEach(() => server.stop());

const sound = (pitch: number) =>
  Buffer.from(
    writeMuLawWav({
      samples: Float32Array.from({ length: 16_000 }, (_, at) => 0.3 * Math.sin(at * pitch)),
      rateHz: 8000,
    }),
  );
const upload = async (path: string, file: Buffer, fields: Record<string, string>) =>
  (
    await request(server.app.getHttpServer())
      .post(path)
      .set('Host', '127.0.0.1')
      .field(fields)
      .attach('audio', file, 'sound.wav')
  ).body;
const leave = (pitch: number) =>
  upload(`/api/boxes/${boxId}/messages`, sound(pitch), { callerNumber: '+12075550188', trial: 'false' });
const bring = (pitch: number) => upload('/api/takes', sound(pitch), { place: 'greeting:any', source: 'file' });
/** As if every file had been kept long ago. */
const letFilesAge = async () => {
  const long = new Date(Date.now() - 3 * day);
  for await (const { path } of store.files()) utimesSync(path, long, long);
};
const sweep = () => server.app.get(SweepService).sweep();
const speak = (text: string) => server.ask('post', '/api/speech', { voice: 'slt', texts: [text] });
const spoken = async () =>
  (await server.app.get(DataSource).getRepository(SpokenSentenceEntity).find()).map(({ text }) => text).sort();
const change = async (changes: object) => {
  const { revision } = (await server.ask('get', '/api/settings')).body;
  expect((await server.ask('patch', '/api/settings', { revision, ...changes })).status).toBe(200);
};

describe('what nobody needs any more', () => {
  it('goes when it was deleted long ago, and not before; what shares its sound keeps it', async () => {
    const [first, second, same] = [await leave(0.1), await leave(0.2), await leave(0.1)];
    expect(same.audioId).toBe(first.audioId);
    for (const { id } of [first, second]) await server.ask('delete', `/api/messages/${id}`);
    await letFilesAge();
    await sweep();
    await server.ask('post', `/api/messages/${second.id}/restore`);
    expect((await server.ask('get', `/api/audio/${second.audioId}`)).status).toBe(200);
    await server.ask('delete', `/api/messages/${second.id}`);
    server.clock.jump(31 * day);
    await sweep();
    expect(await store.has(first.audioId)).toBe(true);
    expect(await store.has(second.audioId)).toBe(false);
    expect((await server.ask('post', `/api/messages/${second.id}/restore`)).status).toBe(404);
    expect((await server.ask('get', '/api/messages')).body).toHaveLength(1);
  });

  it('is no recording that a greeting, a draft or a version is heard from, though it was deleted', async () => {
    const [used, unused] = [await bring(0.1), await bring(0.2)];
    const take = { takeId: used.id, byVoice: false };
    const greeting = { name: 'Snow', words: 'We are closed.', voice: 'slt' };
    const { body } = await server.ask('post', '/api/greetings', greeting);
    expect((await server.ask('patch', `/api/greetings/${body.id}`, { revision: 1, take })).status).toBe(200);
    for (const { id } of [used, unused]) await server.ask('delete', `/api/takes/${id}`);
    await letFilesAge();
    server.clock.jump(31 * day);
    await sweep();
    for (const id of [used.audioId, used.originalId, used.recordingId]) expect(await store.has(id)).toBe(true);
    for (const id of [unused.audioId, unused.originalId, unused.recordingId]) expect(await store.has(id)).toBe(false);
    expect((await server.ask('post', `/api/takes/${unused.id}/restore`)).status).toBe(404);
  });

  it('is a sound that no row names, but not one that was kept a moment ago', async () => {
    const orphan = await store.keep(Buffer.from('an orphan'));
    await sweep();
    expect(await store.has(orphan)).toBe(true);
    await letFilesAge();
    await sweep();
    expect(await store.has(orphan)).toBe(false);
  });

  it('is a sentence that nobody has heard for long; one that is heard stays, and each can be spoken again', async () => {
    await speak('Heard once.');
    await speak('Heard again and again.');
    server.clock.jump(60 * day);
    await speak('Heard again and again.');
    server.clock.jump(60 * day);
    await letFilesAge();
    await sweep();
    expect(await spoken()).not.toContain('Heard once.');
    expect(await spoken()).toContain('Heard again and again.');
    const [again] = (await speak('Heard once.')).body;
    expect(await store.has(again.audioId)).toBe(true);
  });

  it('is, of spoken sentences, what is more than the settings allow: the ones heard longest ago', async () => {
    for (let count = 0; count < 8; count += 1) {
      await speak(`Sentence ${count}.`);
      server.clock.jump(1000);
    }
    const rows = server.app.get(DataSource).getRepository(SpokenSentenceEntity);
    await rows.createQueryBuilder().update().set({ lengthMs: 400_000 }).execute();
    await change({ mostSpokenMegabytes: 10 });
    await sweep();
    expect(await spoken()).toEqual(['Sentence 5.', 'Sentence 6.', 'Sentence 7.']);
    expect((await server.ask('get', '/api/storage')).body).toMatchObject({
      spokenSentences: 3,
      spokenBytes: 3 * (58 + 3_200_000),
      folder: server.dataDir,
    });
  });
});

describe('what a killed server leaves', () => {
  it('is gone after the next start: files it was writing or taking in', async () => {
    const kept = await store.keep(Buffer.from('whole'));
    const part = `${store.pathOf(kept)}.1234.part`;
    writeFileSync(part, 'ha');
    const stray = join(dirname(dirname(part)), 'ff', 'x.part');
    mkdirSync(dirname(stray), { recursive: true });
    writeFileSync(stray, '');
    const half = join(store.incoming, '0f3a');
    mkdirSync(store.incoming, { recursive: true });
    writeFileSync(half, 'RIFF');
    await server.stop(true);
    server = await testServer({ dataDir: server.dataDir });
    expect([part, stray, half].filter(existsSync)).toEqual([]);
    expect(await server.app.get(AudioStore).has(kept)).toBe(true);
  });
});

describe('a file that is gone from the disk', () => {
  it('is said, with its path, wherever its sound is wanted', async () => {
    const [message, take] = [await leave(0.1), await bring(0.2)];
    const [person] = (await server.ask('get', '/api/people')).body;
    await server.ask('patch', `/api/people/${person.id}`, { revision: 1, email: 'noor@larkspurcove.example' });
    for (const id of [message.audioId, take.originalId, take.recordingId]) rmSync(store.pathOf(id as AudioId));
    const asked = [
      await server.ask('get', `/api/audio/${message.audioId}`),
      await server.ask('post', `/api/messages/${message.id}/forward`, { personId: person.id }),
      await server.ask('get', `/api/takes/${take.id}/original`),
      await server.ask('get', `/api/takes/${take.id}/download?as=wav`),
      await server.ask('post', `/api/takes/${take.id}/polish`, { recipe: JSON.stringify(take.recipe) }),
    ];
    for (const { status, body } of asked) {
      expect(status).toBe(404);
      expect(body.detail).toContain(`The sound is missing on the disk: ${server.dataDir}`);
    }
    expect((await server.ask('get', '/api/outbox')).body).toEqual([]);
  });

  it('is said of an e-mail, too', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    await server.ask('patch', `/api/people/${person.id}`, { revision: 1, email: 'noor@larkspurcove.example' });
    const { id } = await leave(0.1);
    await server.ask('post', `/api/messages/${id}/forward`, { personId: person.id });
    const [mail] = (await server.ask('get', '/api/outbox')).body;
    const folder = join(server.dataDir, 'outbox');
    for (const name of readdirSync(folder)) rmSync(join(folder, name));
    const { status, body } = await server.ask('get', `/api/outbox/${mail.id}/eml`);
    expect(status).toBe(404);
    expect(body.detail).toContain('The e-mail is missing on the disk');
  });
});

describe('a message and what tells of it', () => {
  it('are kept once, though it is tried again, as after a server was killed just then', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    await server.ask('patch', `/api/people/${person.id}`, { revision: 1, email: 'noor@larkspurcove.example' });
    const messages = server.app.get(MessagesService);
    const left = {
      ...{ boxId: boxId as BoxId, callerNumber: '+12075550188', leftAt: 1000, words: 'My boat is adrift.' },
      tell: [{ personId: person.id, by: 'email' as const }],
    };
    const spoken = spokenOf({ samples: new Float32Array(8000), rateHz: 8000 });
    const kept = [await messages.keep('take:one', left, spoken), await messages.keep('take:one', left, spoken)];
    expect(kept[1]?.id).toBe(kept[0]?.id);
    await messages.keep('take:two', left, spoken);
    expect((await server.ask('get', '/api/messages')).body).toHaveLength(2);
    expect((await server.ask('get', '/api/outbox')).body).toHaveLength(2);
  });

  it('are kept both, or neither', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    const [box] = (await server.ask('get', '/api/boxes')).body;
    await server.ask('patch', `/api/people/${person.id}`, { revision: 1, email: 'noor@larkspurcove.example' });
    await server.ask('patch', `/api/boxes/${box.id}`, { revision: 1, tell: [{ personId: person.id, by: 'email' }] });
    const database = server.app.get(DataSource);
    await database.query(
      "CREATE TRIGGER refuse BEFORE INSERT ON outbox_item BEGIN SELECT RAISE(ABORT, 'no room for mail'); END",
    );
    expect((await leave(0.1)).status).toBe(500);
    expect((await server.ask('get', '/api/messages')).body).toEqual([]);
    await database.query('DROP TRIGGER refuse');
    expect((await leave(0.1)).id).toMatch(/^message:/);
    expect((await server.ask('get', '/api/outbox')).body).toHaveLength(1);
  });
});
