import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { writeWav } from '@locutor/core/audio';
import request from 'supertest';
import { boatyardFacts, testServer, type TestServer } from './testing/testServer';

let server: TestServer;
let ask: TestServer['ask'];

beforeEach(async () => {
  server = await testServer();
  ask = server.ask.bind(server);
});
afterEach(() => server.stop());

async function start() {
  const { body: line } = await ask('post', '/api/start', boatyardFacts);
  const { body: draft } = await ask('get', `/api/lines/${line.id}/draft`);
  return { line, draft, draftPath: `/api/lines/${line.id}/draft`, versionsPath: `/api/lines/${line.id}/versions` };
}

describe('the first run', () => {
  it('makes a line with hours, people, a box and an attendant that can go on air as it is', async () => {
    const { line, draft, versionsPath } = await start();
    expect(line).toMatchObject({ number: '+12075550140', timeZone: 'America/New_York', onAirVersionId: null });
    expect(draft.attendant.sheets.map((sheet: { name: string }) => sheet.name)).toEqual(['Welcome', 'After hours']);
    const { status, body } = await ask('post', versionsPath, { draftRevision: draft.revision });
    expect(status).toBe(201);
    expect(body).toMatchObject({ number: 1, onAir: true });
  });

  it('closes after midnight when the closing time is not after the opening time', async () => {
    const { body: line } = await ask('post', '/api/start', { ...boatyardFacts, opensMin: 1080, closesMin: 120 });
    const { body: hours } = await ask('get', `/api/hours/${line.hoursId}`);
    expect(hours.week[0]).toMatchObject({ startMin: 1080, endMin: 1560 });
  });

  it('is refused once there is a line', async () => {
    await start();
    expect(await ask('post', '/api/start', boatyardFacts)).toMatchObject({ status: 409 });
  });

  it.each([
    [{ timeZone: 'Mars/Base' }, 'timeZone', '“Mars/Base” is not a time zone. Choose one such as America/New_York.'],
    [{ number: '12' }, 'number', '“12” is not a telephone number.'],
    [{ name: ' ' }, 'name', 'The name of the business is missing.'],
    [{ openDays: [] }, 'openDays', 'Choose at least one day.'],
    [
      { closesMin: 1500 },
      'closesMin',
      'The closing time, in minutes after midnight, must be a whole number from 0 to 1440.',
    ],
    [{ people: [{ name: 'Ada', extension: 'x' }] }, 'people.0.extension', 'An extension has 2 to 6 digits.'],
  ])('says what is wrong with %o', async (changes, at, says) => {
    const { status, type, body } = await ask('post', '/api/start', { ...boatyardFacts, ...changes });
    expect(status).toBe(422);
    expect(type).toBe('application/problem+json');
    expect(body).toMatchObject({ status: 422, title: 'Not understood' });
    expect(body.errors.find((error: { at: string }) => error.at === at).says).toContain(says);
    expect((await ask('get', '/api/lines')).body).toEqual([]);
  });
});

describe('the draft', () => {
  it('is saved from the revision it started from; a stale one is refused with the newer', async () => {
    const { draft, draftPath } = await start();
    const first = { ...draft.attendant, voice: 'rms' };
    const saved = await ask('put', draftPath, { revision: draft.revision, attendant: first });
    expect(saved).toMatchObject({ status: 200, body: { revision: draft.revision + 1 } });
    const stale = await ask('put', draftPath, { revision: draft.revision, attendant: draft.attendant });
    expect(stale).toMatchObject({ status: 409, body: { type: '/problems/stale', revision: draft.revision + 1 } });
    expect((await ask('get', draftPath)).body.attendant.voice).toBe('rms');
  });

  it('survives a restart of the server', async () => {
    const { draft, draftPath } = await start();
    await ask('put', draftPath, { revision: draft.revision, attendant: { ...draft.attendant, voice: 'awb' } });
    await server.stop(true);
    server = await testServer({ dataDir: server.dataDir });
    expect((await server.ask('get', draftPath)).body.attendant.voice).toBe('awb');
  });

  it('names the sheet and the part of what is too long', async () => {
    const { draft, draftPath } = await start();
    const [welcome, closed] = draft.attendant.sheets;
    const sheets = [{ ...welcome, openingWords: 'a'.repeat(10_000) }, closed];
    const { status, body } = await ask('put', draftPath, { revision: 1, attendant: { ...draft.attendant, sheets } });
    expect(status).toBe(422);
    expect(body.detail).toBe('Welcome, opening words: too long or too large; the most is 3,000.');
  });

  it.each([
    [{}, 'its schema version is missing'],
    [{ schemaVersion: 99 }, 'written by a newer Locutor'],
    [{ schemaVersion: 1, voice: 'nobody', sheets: [], answering: { rules: [], otherwise: [] } }, 'voice'],
  ])('refuses %o', async (attendant, says) => {
    const { draftPath } = await start();
    const { status, body } = await ask('put', draftPath, { revision: 1, attendant });
    expect(status).toBe(422);
    expect(body.detail).toContain(says);
  });
});

describe('versions', () => {
  it('stay as they were when the draft goes on, and are put back', async () => {
    const { line, draft, draftPath, versionsPath } = await start();
    const { body: first } = await ask('post', versionsPath, { draftRevision: 1 });
    await ask('put', draftPath, { revision: 1, attendant: { ...draft.attendant, voice: 'rms' } });
    const { body: second } = await ask('post', versionsPath, { draftRevision: 2 });
    expect(second.number).toBe(2);
    expect((await ask('get', `${versionsPath}/${first.id}`)).body.attendant).toEqual(draft.attendant);
    expect((await ask('post', `${versionsPath}/${first.id}/put-back`)).body).toMatchObject({ number: 1, onAir: true });
    expect((await ask('get', '/api/lines')).body[0]).toMatchObject({ id: line.id, onAirVersionId: first.id });
  });

  it('are refused with every fault in words, and nothing goes on air', async () => {
    const { draft, draftPath, versionsPath } = await start();
    const [welcome, closed] = draft.attendant.sheets;
    const sheets = [
      { ...welcome, silencePath: [] },
      { ...closed, openingWords: '', closingWords: '', options: [] },
    ];
    await ask('put', draftPath, { revision: 1, attendant: { ...draft.attendant, sheets } });
    const { status, body } = await ask('post', versionsPath, { draftRevision: 2 });
    expect(status).toBe(422);
    expect(body.errors.map((error: { at: string }) => error.at)).toEqual(['noFallback', 'noWords']);
    expect(body.detail).toContain('After hours says nothing: the caller hears silence.');
    expect((await ask('get', '/api/lines')).body[0].onAirVersionId).toBeNull();
  });

  it('are made of the draft that was looked at, not of a newer one', async () => {
    const { draft, draftPath, versionsPath } = await start();
    await ask('put', draftPath, { revision: 1, attendant: draft.attendant });
    expect(await ask('post', versionsPath, { draftRevision: 1 })).toMatchObject({ status: 409, body: { revision: 2 } });
  });

  it('keep the words of a library greeting as they were', async () => {
    const { draft, draftPath, versionsPath } = await start();
    const words = 'The yard is closed for the regatta.';
    const { body: greeting } = await ask('post', '/api/greetings', { name: 'Regatta', words, voice: 'slt' });
    const say = { type: 'say', spoken: { type: 'greeting', greetingId: greeting.id } };
    const { answering } = draft.attendant;
    const attendant = { ...draft.attendant, answering: { ...answering, otherwise: [say, ...answering.otherwise] } };
    await ask('put', draftPath, { revision: 1, attendant });
    const { body: version } = await ask('post', versionsPath, { draftRevision: 2 });
    await ask('patch', `/api/greetings/${greeting.id}`, { revision: 1, words: 'Something else.' });
    expect((await ask('get', `${versionsPath}/${version.id}`)).body.greetings).toMatchObject([{ words }]);
    expect(await ask('delete', `/api/greetings/${greeting.id}`)).toMatchObject({ status: 409 });
  });
});

describe('hours', () => {
  it('are replaced whole, from the revision they started from', async () => {
    const { line } = await start();
    const path = `/api/hours/${line.hoursId}`;
    const { body: hours } = await ask('get', path);
    const week = [{ periodId: hours.periods[0].id, day: 6, startMin: 1320, endMin: 1560 }];
    const changed = await ask('put', path, { revision: 1, periods: hours.periods, week });
    expect(changed).toMatchObject({ status: 200, body: { revision: 2, week } });
    expect(await ask('put', path, { revision: 1, periods: hours.periods, week })).toMatchObject({ status: 409 });
  });

  it('refuse an end before its start, a day that is none, and a period that still answers left out', async () => {
    const { line } = await start();
    const path = `/api/hours/${line.hoursId}`;
    const { body: hours } = await ask('get', path);
    const [{ id: periodId }] = hours.periods;
    const put = (week: object[], periods = hours.periods) => ask('put', path, { revision: 1, periods, week });
    const backwards = await put([{ periodId, day: 1, startMin: 600, endMin: 540 }]);
    expect(backwards.body.detail).toBe('Monday 10:00 to 9:00: the end must come after the start, at most a day later.');
    expect((await put([{ periodId, day: 8, startMin: 0, endMin: 60 }])).status).toBe(422);
    const gone = await put([], []);
    expect(gone).toMatchObject({ status: 409, body: { type: '/problems/in-use' } });
    expect(gone.body.uses).toContain('the answer during Open, in the draft');
  });
});

describe('people, boxes and greetings', () => {
  it('are added, changed from their revision, deleted and restored', async () => {
    const { body: ada } = await ask('post', '/api/people', { name: '  Ada Drury ', extension: '230' });
    expect(ada).toMatchObject({ name: 'Ada Drury', revision: 1 });
    const path = `/api/people/${ada.id}`;
    expect((await ask('patch', path, { revision: 1, name: 'Ada D.' })).body).toMatchObject({
      name: 'Ada D.',
      revision: 2,
    });
    expect(await ask('patch', path, { revision: 1, name: 'A.' })).toMatchObject({ status: 409, body: { revision: 2 } });
    expect((await ask('delete', path)).status).toBe(204);
    expect((await ask('get', '/api/people')).body).toEqual([]);
    expect((await ask('post', `${path}/restore`)).body).toMatchObject({ name: 'Ada D.' });
  });

  it('keep extensions unique, also when a deletion is taken back', async () => {
    const { body: ada } = await ask('post', '/api/people', { name: 'Ada', extension: '230' });
    const twice = await ask('post', '/api/people', { name: 'Bo', extension: '230' });
    expect(twice).toMatchObject({
      status: 409,
      body: { detail: 'Extension 230 is Ada’s already. Choose another for Bo.' },
    });
    await ask('delete', `/api/people/${ada.id}`);
    await ask('post', '/api/people', { name: 'Bo', extension: '230' });
    expect((await ask('post', `/api/people/${ada.id}/restore`)).status).toBe(409);
  });

  it('are not deleted while the draft or what is on air needs them', async () => {
    const { draft, draftPath, versionsPath } = await start();
    await ask('post', versionsPath, { draftRevision: 1 });
    const priya = (await ask('get', '/api/people')).body.find((person: { name: string }) =>
      person.name.startsWith('Priya'),
    );
    const refused = await ask('delete', `/api/people/${priya.id}`);
    expect(refused).toMatchObject({
      status: 409,
      body: {
        uses: ['key 2 of Welcome, in the draft and on air'],
      },
    });
    const [welcome, closed] = draft.attendant.sheets;
    const options = welcome.options.filter((option: { key: string }) => option.key !== '2');
    await ask('put', draftPath, {
      revision: 1,
      attendant: { ...draft.attendant, sheets: [{ ...welcome, options }, closed], paths: [] },
    });
    expect((await ask('delete', `/api/people/${priya.id}`)).body.uses).toEqual(['key 2 of Welcome, on air']);
  });

  it('keep markup in a name as plain text', async () => {
    const name = '<img src=x onerror=alert(1)>';
    expect((await ask('post', '/api/people', { name, extension: '231' })).body.name).toBe(name);
  });

  it('refuse a box that is to say a greeting that is not there', async () => {
    const box = { name: 'Yard', greetingId: 'greeting:none', longestMessageSeconds: 60 };
    expect((await ask('post', '/api/boxes', box)).status).toBe(404);
    expect((await ask('post', '/api/boxes', { ...box, greetingId: null, longestMessageSeconds: 5 })).status).toBe(422);
    expect((await ask('post', '/api/boxes', { ...box, greetingId: null })).status).toBe(201);
  });
});

describe('messages', () => {
  it('keeps a message with its audio, marks it, deletes it and takes that back', async () => {
    await start();
    const [box] = (await ask('get', '/api/boxes')).body;
    const samples = Float32Array.from({ length: 32_000 }, (_, index) => 0.3 * Math.sin(index / 5));
    const left = await request(server.app.getHttpServer())
      .post(`/api/boxes/${box.id}/messages`)
      .set('Host', 'localhost')
      .field({ callerNumber: '+1 207 555 0178', trial: 'true' })
      .attach('audio', Buffer.from(writeWav({ samples, rateHz: 16_000 })), 'message.wav');
    expect(left.body).toMatchObject({ lengthMs: 2000, heard: false, trial: true, boxId: box.id });
    const path = `/api/messages/${left.body.id}`;
    expect((await ask('patch', path, { heard: true })).body.heard).toBe(true);
    await ask('delete', path);
    expect((await ask('get', '/api/messages')).body).toEqual([]);
    await ask('post', `${path}/restore`);
    expect((await ask('get', '/api/messages')).body).toHaveLength(1);
  });

  it('refuses a message that is no sound, or for a box that is not there', async () => {
    await start();
    const [box] = (await ask('get', '/api/boxes')).body;
    const leave = (path: string, file: string) =>
      request(server.app.getHttpServer())
        .post(path)
        .set('Host', 'localhost')
        .field({ callerNumber: 'anonymous', trial: 'false' })
        .attach('audio', Buffer.from(file), 'message.wav');
    expect((await leave(`/api/boxes/${box.id}/messages`, 'not a sound')).status).toBe(422);
    expect((await leave('/api/boxes/box:none/messages', 'not a sound')).status).toBe(404);
    expect(readdirSync(join(server.dataDir, 'audio', 'incoming'))).toEqual([]);
    expect((await ask('get', '/api/audio/..%2f..%2flocutor.sqlite')).status).toBe(404);
  });
});

describe('the door', () => {
  it('answers every error as problem details', async () => {
    expect(await ask('get', '/api/nothing')).toMatchObject({ status: 404, type: 'application/problem+json' });
    const broken = await request(server.app.getHttpServer())
      .post('/api/people')
      .set({ host: 'localhost', 'content-type': 'application/json' })
      .send('{"name":');
    expect(broken).toMatchObject({ status: 400, type: 'application/problem+json' });
    const large = await ask('post', '/api/people', { name: 'a'.repeat(5_000_000), extension: '1' });
    expect(large).toMatchObject({ status: 413, body: { detail: 'What was sent is too large. Nothing was changed.' } });
  });

  it('describes itself, and is healthy', async () => {
    expect((await ask('get', '/api/health')).body).toMatchObject({
      status: 'ok',
      ...{ database: { status: 'ok', says: '' }, sound: { status: 'ok', waiting: 0 }, speech: { status: 'ok' } },
      disk: { freeBytes: expect.any(Number) },
    });
    const { body } = await ask('get', '/api/openapi.json');
    expect(Object.keys(body.paths)).toContain('/api/lines/{lineId}/draft');
    expect(body.components.schemas.Attendant.properties.sheets).toBeDefined();
  });
});
