import { strFromU8, unzipSync } from 'fflate';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { writeWav } from '@locutor/core/audio';
import type { HandsetHears } from '@locutor/core/exchange';
import { placeOfText } from '@locutor/core/line';
import { airDraft } from '../testing/airDraft';
import { LiveClient } from '../testing/liveClient';
import { boatyardFacts, testServer, type Answer, type TestServer } from '../testing/testServer';

let server: TestServer;
let line: string;
beforeEach(async () => {
  server = await testServer();
  const { body } = await server.ask('post', '/api/start', { ...boatyardFacts, emergencyAddress: '1 Cannery Road' });
  line = `/api/lines/${body.id}`;
});
afterEach(() => server.stop());

const ask: TestServer['ask'] = (method, path, body) => server.ask(method, `${line}${path}`, body);
const draft = async () => (await ask('get', '/draft')).body;
const lineId = () => line.split('/').at(-1) ?? '';

/** Saves the draft with another welcome, and gives its revision. */
async function retyped(words: string): Promise<number> {
  const { attendant, revision } = await draft();
  const [welcome, ...sheets] = attendant.sheets;
  const edited = { ...attendant, sheets: [{ ...welcome, openingWords: words }, ...sheets] };
  return (await ask('put', '/draft', { revision, attendant: edited })).body.revision;
}

/** Lets a second pass at a time until it has come to something. */
async function until<Found>(look: () => Promise<Found | undefined>): Promise<Found> {
  for (let second = 0; second < 300; second += 1) {
    const found = await look();
    if (found !== undefined) return found;
    await server.clock.pass(1000);
  }
  throw new Error('It did not come to that');
}

const onAirNumber = async (): Promise<number | undefined> =>
  (await ask('get', '/versions')).body.find((each: { onAir: boolean }) => each.onAir)?.number;

const ringsOnly = { type: 'press', keys: '1' };
const rehearsal = (who: string) => ({
  name: 'Key 1',
  scene: { reading: '2026-11-23T10:00', callerNumber: '+12075550178', acts: [ringsOnly], staff: [], others: 'answers' },
  expects: [{ type: 'reaches', who }],
});

describe('putting on air', () => {
  it('tells its stages, who did it, and why', async () => {
    const { port } = server.app.getHttpServer().listen(0).address() as AddressInfo;
    const { text } = await request(`http://127.0.0.1:${port}`)
      .post(`${line}/versions`)
      .set('Accept', 'application/x-ndjson')
      .send({ draftRevision: 1, by: 'Tamsin Okafor', note: 'First of all' });
    const told = text
      .trim()
      .split('\n')
      .map((each) => JSON.parse(each) as { stage?: string; done?: { airings: unknown[] } });
    expect(told.flatMap(({ stage }) => stage ?? [])).toEqual(['proof', 'rehearsals', 'speaking', 'storing', 'onAir']);
    expect(told.at(-1)?.done?.airings).toMatchObject([{ by: 'Tamsin Okafor', note: 'First of all', how: 'now' }]);
  });

  it('needs a yes to every caution, with a reason that is remembered', async () => {
    const revision = await retyped('Thank you for calling Harbor Marine Supply.');
    const refused = await ask('post', '/versions', { draftRevision: revision });
    expect(refused).toMatchObject({ status: 422, body: { type: '/problems/cautions' } });
    expect(refused.body.errors[0].at).toBe('businessInWords');
    const { body: findings } = await ask('get', '/proof');
    const { key } = findings.find(({ rule }: { rule: string }) => rule === 'businessInWords');
    await ask('put', '/proof/accepted', { key, reason: 'Our sister company', by: 'Odile' });
    expect((await ask('post', '/versions', { draftRevision: revision })).status).toBe(201);
    const told = (await ask('get', '/proof')).body.find((each: { key: string }) => each.key === key);
    expect(told.accepted).toMatchObject({ reason: 'Our sister company', by: 'Odile' });
    await ask('delete', `/proof/accepted?key=${encodeURIComponent(key)}`);
    expect((await ask('get', '/proof/accepted')).body).toEqual([]);
  });

  it('tells whoever puts the same on air again that it is there already', async () => {
    await ask('post', '/versions', { draftRevision: 1, by: 'Tamsin' });
    const again = await ask('post', '/versions', { draftRevision: 1, by: 'Odile' });
    expect(again).toMatchObject({ status: 409 });
    expect(again.body.detail).toBe('This is on air already, as version 1, put there by Tamsin.');
  });

  it('lets one of two go on air at the same moment, and tells the other', async () => {
    const revision = await retyped('Hello, this is the boatyard.');
    const put = (by: string): Promise<Answer> => ask('post', '/versions', { draftRevision: revision, by });
    const answers = await Promise.all([put('Tamsin'), put('Odile'), put('Effie')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
    expect((await ask('get', '/versions')).body).toHaveLength(1);
    expect(await onAirNumber()).toBe(1);
    const told = answers.filter(({ status }) => status === 409).map(({ body }) => body.detail);
    for (const detail of told) expect(detail).toMatch(/Tamsin|Odile|Effie/);
  });

  it('runs the rehearsals: one that no longer holds needs a yes', async () => {
    const { body: people } = await server.ask('get', '/api/people');
    const noor = people.find(({ name }: { name: string }) => name === 'Noor Haldane').id;
    const made = await ask('post', '/rehearsals', { rehearsals: [rehearsal(noor)] });
    expect(made).toMatchObject({ status: 201, body: [{ was: expect.any(Array) }] });
    const { attendant, revision } = await draft();
    const [welcome, ...sheets] = attendant.sheets;
    const options = welcome.options.map((option: { key: string }) =>
      option.key === '1' ? { ...option, path: [{ type: 'hangUp', words: '' }] } : option,
    );
    const saved = await ask('put', '/draft', {
      revision,
      attendant: { ...attendant, sheets: [{ ...welcome, options }, ...sheets] },
    });
    const { body: runs } = await ask('post', '/rehearsals/run', {});
    expect(runs).toMatchObject([{ failed: [0], partsAt: expect.any(Number) }]);
    const refused = await airDraft(server, lineId(), saved.body.revision);
    expect(refused.body.detail).toContain('The rehearsal “Key 1” no longer holds: it reaches Noor Haldane.');
    const yes = [{ key: `rehearsal | ${runs[0].id} | 0`, reason: 'She is away this week' }];
    expect((await ask('post', '/versions', { draftRevision: saved.body.revision, by: 'Tamsin', yes })).status).toBe(
      201,
    );
  });

  it('refuses rehearsals that are none, and keeps changes from one revision', async () => {
    const wrong = await ask('post', '/rehearsals', { rehearsals: [{ ...rehearsal('nobody') }] });
    expect(wrong.body.detail).toBe('The rehearsal was not understood at expects.0.who.');
    const {
      body: [kept],
    } = await ask('post', '/rehearsals', { rehearsals: [rehearsal('box:none')] });
    const changed = { ...rehearsal('box:other'), name: 'Other', revision: 1 };
    expect((await ask('put', `/rehearsals/${kept.id}`, changed)).body).toMatchObject({ name: 'Other', revision: 2 });
    expect((await ask('put', `/rehearsals/${kept.id}`, changed)).status).toBe(409);
    await ask('delete', `/rehearsals/${kept.id}`);
    expect((await ask('get', '/rehearsals')).body).toEqual([]);
    expect((await ask('post', `/rehearsals/${kept.id}/restore`)).body.name).toBe('Other');
  });
});

describe('what is planned', () => {
  const plan = (at: number, draftRevision: number, more: object = {}): Promise<Answer> =>
    ask('put', '/planned', { at, draftRevision, by: 'Tamsin', note: '', ...more });
  const planned = async () => (await ask('get', '/planned')).body.planned;

  it('goes on air at its time, as it was when it was planned', async () => {
    const revision = await retyped('Good day, this is the boatyard.');
    expect((await plan(server.clock.now() + 60_000, revision)).status).toBe(200);
    await retyped('This came too late.');
    await server.clock.pass(58_000);
    expect(await onAirNumber()).toBeUndefined();
    expect(await until(async () => (await onAirNumber()) ?? undefined)).toBe(1);
    const { body: versions } = await ask('get', '/versions');
    const { body: version } = await ask('get', `/versions/${versions[0].id}`);
    expect(version.attendant.sheets[0].openingWords).toBe('Good day, this is the boatyard.');
    expect(version.airings).toMatchObject([{ by: 'Tamsin', how: 'planned' }]);
    expect(await planned()).toBeNull();
  });

  it('is changed and cancelled, by whoever has seen how it is', async () => {
    const at = server.clock.now() + 3_600_000;
    await plan(at, 1);
    expect((await plan(at, 1)).body.detail).toBe(
      'Tamsin has planned something on this line meanwhile. Look at it first.',
    );
    expect((await plan(at + 60_000, 1, { revision: 1, by: 'Odile' })).body.planned).toMatchObject({
      by: 'Odile',
      revision: 2,
    });
    expect((await plan(server.clock.now() - 1, 1, { revision: 2 })).status).toBe(422);
    await ask('delete', '/planned');
    expect(await planned()).toBeNull();
  });

  it('does not go on air when it no longer passes, and says why', async () => {
    const { body: people } = await server.ask('get', '/api/people');
    await plan(server.clock.now() + 1500, 1);
    const { attendant } = await draft();
    const only = attendant.sheets.find(({ name }: { name: string }) => name === 'After hours') ?? attendant.sheets[0];
    const sheets = [
      {
        ...only,
        options: [],
        silencePath: [{ type: 'hangUp', words: '' }],
        wrongKeyPath: [{ type: 'hangUp', words: '' }],
      },
    ];
    const otherwise = [{ type: 'goTo', sheetId: only.id }];
    const bare = { ...attendant, sheets, paths: [], fallbacks: [], answering: { rules: [], otherwise } };
    await ask('put', '/draft', { revision: 1, attendant: bare });
    const [line] = (await server.ask('get', '/api/lines')).body;
    await server.ask('patch', `/api/lines/${line.id}`, { revision: line.revision, operatorId: null });
    for (const { id } of people) {
      const boxes = (await server.ask('get', '/api/boxes')).body;
      for (const box of boxes)
        await server.ask('patch', `/api/boxes/${box.id}`, { revision: box.revision, ownerId: null });
      expect((await server.ask('delete', `/api/people/${id}`)).status).toBe(204);
    }
    const { problem } = await until(async () => ((await planned())?.problem ? await planned() : undefined));
    expect(problem).toMatch(/^This cannot go on air yet\..*leads to something that was deleted/);
    expect(await onAirNumber()).toBeUndefined();
  });

  it('goes on air late when the machine was off at its time', async () => {
    await plan(server.clock.now() + 300, 1);
    const { dataDir } = server;
    await server.stop(true);
    server = await testServer({ dataDir });
    server.clock.jump(2 * 3_600_000);
    expect(await until(async () => (await onAirNumber()) ?? undefined)).toBe(1);
  });

  it('keeps to the clock on the wall, however that jumps', async () => {
    const hour = 3_600_000;
    await plan(server.clock.now() + 6 * hour, 1);
    server.clock.jump(-24 * hour);
    await server.clock.pass(3000);
    expect(await onAirNumber()).toBeUndefined();
    server.clock.jump(48 * hour);
    expect(await until(async () => (await onAirNumber()) ?? undefined)).toBe(1);
    server.clock.jump(-48 * hour);
    const revision = await retyped('Good morning, this is the boatyard.');
    expect((await airDraft(server, lineId(), revision)).status).toBe(201);
    expect(await onAirNumber()).toBe(2);
    expect((await ask('get', '/versions')).body.map(({ number }: { number: number }) => number)).toEqual([2, 1]);
  });

  it('can go at the quietest hour', async () => {
    const { body } = await ask('get', '/quietest');
    expect(body.quietest.atMs).toBeGreaterThan(server.clock.now());
    expect(body.quietest.atMs % 3_600_000).toBe(0);
    expect(body.whileOpen.isOpen).toBe(true);
  });
});

describe('a version', () => {
  it('is looked at as it was, whoever has left and whatever is called otherwise', async () => {
    const { body: version } = await ask('post', '/versions', { draftRevision: 1, by: 'Tamsin' });
    const { body: people } = await server.ask('get', '/api/people');
    const noor = people.find(({ name }: { name: string }) => name === 'Noor Haldane');
    await server.ask('patch', `/api/people/${noor.id}`, { revision: 1, name: 'Noor Abara' });
    const { body: whole } = await ask('get', `/versions/${version.id}`);
    expect(whole.directory.names[noor.id]).toBe('Noor Haldane');
    expect(whole.directory.people).toHaveLength(2);
  });

  it('is looked at with the recordings of texts that there were, which stay', async () => {
    const record = async (): Promise<string> => {
      const samples = Float32Array.from({ length: 16_000 }, (_, index) => Math.sin(index / 8) / 3);
      const { body } = await request(server.app.getHttpServer())
        .post('/api/takes')
        .set('Host', '127.0.0.1')
        .field({ place: placeOfText('en', 'Goodbye.'), source: 'microphone' })
        .attach('audio', Buffer.from(writeWav({ samples, rateHz: 16_000 })), 'bye.wav');
      const take = { takeId: (body as { id: string }).id, byVoice: false };
      await server.ask('put', '/api/recordings', { language: 'en', words: 'Goodbye.', take });
      return take.takeId;
    };
    const first = await record();
    const { body: version } = await ask('post', '/versions', { draftRevision: 1, by: 'Tamsin' });
    await record();
    const { body: whole } = await ask('get', `/versions/${version.id}`);
    expect(whole.directory.recordings).toMatchObject([{ words: 'Goodbye.', take: { takeId: first } }]);
    expect(whole.takes.map(({ id }: { id: string }) => id)).toEqual([first]);
    const again = await ask('post', '/versions', { draftRevision: 1, by: 'Odile' });
    expect(again.body.detail).toBe('This is on air already, as version 1, put there by Tamsin.');
  });

  it('is exported as a zip of JSON and its schema', async () => {
    const { body: version } = await ask('post', '/versions', { draftRevision: 1, by: 'Tamsin' });
    const { body } = await request(server.app.getHttpServer())
      .get(`${line}/versions/${version.id}/export`)
      .set('Host', '127.0.0.1')
      .responseType('blob');
    const files = unzipSync(new Uint8Array(body as Buffer));
    const json = JSON.parse(strFromU8(files['version.json'] ?? new Uint8Array())) as {
      number: number;
      attendant: unknown;
    };
    expect(json).toMatchObject({ format: 'locutor-version', number: 1, attendant: (await draft()).attendant });
    expect(JSON.parse(strFromU8(files['attendant.schema.json'] ?? new Uint8Array()))).toHaveProperty(
      'properties.sheets',
    );
  });

  it('has a checklist of its own, ticked off by name and taken back', async () => {
    const { body: version } = await ask('post', '/versions', { draftRevision: 1, by: 'Tamsin' });
    const path = `/versions/${version.id}/first-calls`;
    const { body: items } = await ask('get', path);
    expect(items.length).toBeGreaterThan(4);
    const tick = (itemId: string, state: string | null) =>
      ask('put', `${path}/ticks`, { itemId, state, note: 'A crackle', by: 'Effie' });
    const { body: ticked } = await tick(items[0].id, 'wrong');
    expect(ticked[0].tick).toMatchObject({ state: 'wrong', note: 'A crackle', by: 'Effie' });
    expect((await tick(items[0].id, null)).body[0].tick).toBeNull();
    expect((await tick('nothing', 'right')).status).toBe(404);
  });
});

describe('a call under way', () => {
  it('finishes on the version it began with', async () => {
    await server.app.listen(0, '127.0.0.1');
    await ask('post', '/versions', { draftRevision: 1, by: 'Tamsin' });
    await server.clock.pass(200);
    const caller = await new LiveClient<HandsetHears>(server, 'handset').open();
    caller.say({ type: 'dial', number: '+12075550140', callerNumber: '+12075550178' });
    await caller.hears(({ type }) => type === 'call');
    const { attendant, revision } = await draft();
    const hangsUp = [{ type: 'hangUp', words: 'This is the new version.' }];
    const sheets = attendant.sheets.map((sheet: { type: string; options: object[] }) =>
      sheet.type === 'menu' ? { ...sheet, options: sheet.options.map((each) => ({ ...each, path: hangsUp })) } : sheet,
    );
    const rules = attendant.answering.rules.map((rule: object) => ({ ...rule, path: hangsUp }));
    const edited = { ...attendant, sheets, answering: { rules, otherwise: hangsUp } };
    const saved = await ask('put', '/draft', { revision, attendant: edited });
    expect((await airDraft(server, lineId(), saved.body.revision)).status).toBe(201);
    await server.clock.pass(200);
    caller.say({ type: 'key', key: '1' });
    await server.clock.pass(3000);
    const said = JSON.stringify(caller.heard);
    expect(said).not.toContain('This is the new version.');
    await caller.close();
    const later = await new LiveClient<HandsetHears>(server, 'handset').open();
    later.say({ type: 'dial', number: '+12075550140', callerNumber: '+12075550178' });
    await later.hears((heard) => JSON.stringify(heard).includes('This is the new version.'));
    await later.close();
  });
});

describe('lines', () => {
  it('exchange their numbers in one step', async () => {
    const other = { name: 'Shed', number: '+1 207 555 0155', timeZone: 'America/New_York' };
    const { body: shed } = await server.ask('post', '/api/lines', other);
    const { body } = await ask('post', '/exchange-numbers', { with: shed.id });
    const numbers = body.map(({ name, number }: { name: string; number: string }) => [name, number]);
    expect(numbers).toEqual([
      ['Larkspur Cove Boatyard', '+12075550155'],
      ['Shed', '+12075550140'],
    ]);
    expect((await ask('post', '/exchange-numbers', { with: lineId() })).status).toBe(422);
  });
});
