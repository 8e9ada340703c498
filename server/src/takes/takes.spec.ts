import { randomBytes } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { joinPcm, levelDb, readWav, writeG711Wav, writeMuLawWav, writeWav, type Pcm } from '@locutor/core/audio';
import request from 'supertest';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { airDraft } from '../testing/airDraft';

let server: TestServer;
let ask: TestServer['ask'];

beforeAll(async () => {
  server = await testServer();
  ask = server.ask.bind(server);
  await ask('post', '/api/start', boatyardFacts);
});
afterAll(() => server.stop());

const sounds = join(__dirname, '..', 'testing', 'sounds');
const fixture = (name: string): Buffer => readFileSync(join(sounds, name));
const place = 'greeting:regatta';

function tone(seconds: number, rateHz = 16_000, amplitude = 0.1): Pcm {
  const { sin, PI } = Math;
  return {
    rateHz,
    samples: new Float32Array(seconds * rateHz).map((_, at) => amplitude * sin((2 * PI * 440 * at) / rateHz)),
  };
}
const quiet = (seconds: number): Pcm => ({ samples: new Float32Array(seconds * 16_000), rateHz: 16_000 });

interface Sent {
  readonly status: number;
  // What comes back is what the specs are about.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
  readonly text: string;
}

async function bring(
  file: Uint8Array,
  name: string,
  fields: Record<string, string> = {},
  accept = '*/*',
): Promise<Sent> {
  const asked = request(server.app.getHttpServer())
    .post('/api/takes')
    .set('Host', '127.0.0.1')
    .set('Accept', accept)
    .field({ place, source: 'file', ...fields })
    .attach('audio', Buffer.from(file), { filename: name, contentType: 'application/octet-stream' });
  const { status, body, text } = await asked;
  return { status, body, text };
}

async function soundOf(path: string): Promise<Buffer> {
  const { status, body } = await request(server.app.getHttpServer())
    .get(path)
    .set('Host', '127.0.0.1')
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    });
  if (status !== 200) throw new Error(`${path}: ${status}`);
  return body as Buffer;
}

/** What is still there of files that were being taken in. */
const incoming = (): string[] => readdirSync(join(server.dataDir, 'audio', 'incoming'));

const count = async (): Promise<number> => (await ask('get', '/api/takes')).body.length as number;

describe('bringing a sound file', () => {
  const isForBrowsers = (name: string) => /\.(m4a|aac)$/.test(name);

  it.each(readdirSync(sounds).filter((name) => !isForBrowsers(name)))(
    'takes %s, makes it as loud as everything, and keeps it as it came',
    async (name) => {
      const { status, body } = await bring(fixture(name), name);
      expect(status).toBe(201);
      expect(body).toMatchObject({ fileName: name, source: 'file', faults: [] });
      expect(body.lengthMs).toBeGreaterThan(550);
      expect(body.lengthMs).toBeLessThan(720);
      expect(body.made.after.lufs).toBeCloseTo(-20, 0);
      const heard = readWav(await soundOf(`/api/audio/${body.audioId}`));
      expect(heard.ok && heard.value.rateHz).toBe(8000);
      expect(heard.ok && levelDb(heard.value)).toBeGreaterThan(-26);
      expect((await soundOf(`/api/takes/${body.id}/original`)).equals(fixture(name))).toBe(true);
      expect(incoming()).toEqual([]);
    },
  );

  it.each([
    ['empty.wav', new Uint8Array(0), 'is empty'],
    ['notes.wav', Buffer.from('Dear callers, we are closed.'), 'is not a sound file'],
    ['notes.mp3', Buffer.from('%PDF-1.7 and so on'), 'is a PDF document, not a sound'],
    ['letter.raw', Buffer.from('Dear callers, we are closed. '.repeat(300), 'utf16le'), 'is not a sound file'],
    ['locked.ulaw', randomBytes(20_000), 'is not a sound file'],
    ['noise.mp3', Buffer.concat([Buffer.from([0xff, 0xfb, 0x90, 0x64]), randomBytes(20_000)]), 'is'],
    ['cut.wav', writeWav(tone(1)).subarray(0, 9000), 'was cut off'],
    ['head.wav', writeWav(tone(1)).subarray(0, 30), 'was cut off'],
    ['cut.mp3', fixture('tone.mp3').subarray(0, 2000), 'was cut off'],
    ['tone.m4a', fixture('tone.m4a'), 'is in a coding (AAC or Apple Lossless) that this browser does not read'],
    ['tone.aac', fixture('tone.aac'), 'is in a coding (AAC'],
    ['cut.ogg', fixture('tone.ogg').subarray(0, 3900), 'was cut off'],
    ['cut.opus', fixture('tone.opus').subarray(0, 2000), 'was cut off'],
    ['cut.flac', fixture('tone.flac').subarray(0, 7000), 'was cut off'],
    ['nothing.wav', writeWav({ samples: new Float32Array(0), rateHz: 8000 }), 'has no sound in it'],
    ['odd.wav', withTag(writeWav(tone(1)), 85), 'is a WAV file in a coding that cannot be read here'],
    ['long.wav', silentWav(601), 'is longer than 10 minutes'],
    ['fine.wav', silentWav(40, 768_000), 'is longer than 37 seconds'],
    ['large.wav', new Uint8Array(50 * 1024 * 1024 + 1), 'is larger than 50 MB'],
  ])('refuses %s in words, and leaves the library as it was', async (name, file, says) => {
    const before = await count();
    const { status, body } = await bring(file, name);
    expect(status).toBe(422);
    expect(body.detail).toContain(`“${name}” ${says}`);
    expect(await count()).toBe(before);
    expect(incoming()).toEqual([]);
  });

  it('asks which law bare telephone sound is in, and takes the answer or the end of the name', async () => {
    const codes = writeG711Wav(tone(1, 8000), 'a').subarray(44);
    const { status, body } = await bring(codes, 'greeting.raw');
    expect([status, body.errors[0].at]).toEqual([422, 'law']);
    for (const [name, fields] of [
      ['greeting.raw', { law: 'a' }],
      ['greeting.alaw', {}],
    ] as const) {
      const taken = await bring(codes, name, fields);
      expect([taken.status, taken.body.lengthMs]).toEqual([201, 1000]);
      expect(taken.body.made.before.lufs).toBeCloseTo(-23, 0);
    }
  });

  it('reads a length of 4 GB, as programs write that do not know it, and chunks that it does not know', async () => {
    const file = writeWav(tone(1));
    new DataView(file.buffer).setUint32(40, 0xffff_ffff, true);
    expect(await bring(file, 'streamed.wav')).toMatchObject({ status: 201, body: { lengthMs: 1000 } });
    const list = Buffer.from('LIST\x04\x00\x00\x00INFO', 'latin1');
    const whole = Buffer.from(writeWav(tone(1)));
    const chunked = Buffer.concat([whole.subarray(0, 36), list, whole.subarray(36)]);
    expect(await bring(chunked, 'chunked.wav')).toMatchObject({ status: 201, body: { lengthMs: 1000 } });
  });

  it('tells what is wrong with a recording that it takes', async () => {
    const loud = tone(2);
    const clipped = { ...loud, samples: loud.samples.map((sample) => Math.max(-1, Math.min(1, sample * 40))) };
    expect((await bring(writeWav(clipped), 'loud.wav')).body.faults).toContain('clipped');
    expect((await bring(writeWav(quiet(2)), 'silent.wav')).body.faults).toEqual(['silent']);
  });

  it('tells the stages of its work line by line when asked to', async () => {
    const good = await bring(writeWav(tone(1)), 'tone.wav', {}, 'application/x-ndjson');
    const told = good.text
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(told.slice(0, -1)).toContainEqual({ stage: 'resampling' });
    expect(told.at(-1)).toMatchObject({ done: { fileName: 'tone.wav' } });
    const bad = await bring(Buffer.from('x'), 'x.wav', {}, 'application/x-ndjson');
    expect(JSON.parse(bad.text.trim())).toMatchObject({ problem: { status: 422 } });
  });

  it.each([
    [{ place: 'somewhere' }, 'place'],
    [{ source: 'tape' }, 'source'],
    [{ recipe: '{"trim":1}' }, 'recipe'],
    [{ recipe: 'no' }, 'recipe'],
    [{ says: '[]' }, 'says'],
  ])('refuses %o', async (fields, at) => {
    expect(await bring(writeWav(tone(1)), 'a.wav', fields)).toMatchObject({ status: 422, body: { errors: [{ at }] } });
  });
});

describe('a recording that is kept', () => {
  const recording = joinPcm([quiet(1), tone(2), quiet(1)], 16_000);
  const recipe = { cuts: [], pauses: [], lessNoise: true, trim: true, sameLoudness: true, fades: true };

  it('is made good by another recipe, always from what came', async () => {
    const { body: take } = await bring(writeWav(recording), 'a.wav');
    expect(take.lengthMs).toBeLessThan(2300);
    const plain = { ...recipe, trim: false, sameLoudness: false };
    const { body: asItCame } = await ask('post', `/api/takes/${take.id}/polish`, { recipe: JSON.stringify(plain) });
    expect(asItCame.lengthMs).toBe(4000);
    expect(asItCame.made.after.lufs).toBeLessThan(-21);
    expect((await ask('get', `/api/takes?place=${place}`)).body[0]).toMatchObject({ id: take.id, lengthMs: 4000 });
    const cut = { ...recipe, cuts: [{ fromMs: 1000, toMs: 2000 }], pauses: [{ atMs: 2500, ms: 300 }] };
    const { body: made } = await ask('post', `/api/takes/${take.id}/polish`, { recipe: JSON.stringify(cut) });
    expect(made).toMatchObject({ id: take.id, recipe: cut });
    expect(made.lengthMs).toBeLessThan(1600);
    const { body: back } = await ask('post', `/api/takes/${take.id}/polish`, { recipe: JSON.stringify(recipe) });
    expect(back.audioId).toBe(take.audioId);
    const nothing = JSON.stringify({ ...recipe, cuts: [{ fromMs: 0, toMs: 9000 }] });
    expect((await ask('post', `/api/takes/${take.id}/polish`, { recipe: nothing })).status).toBe(422);
  });

  it('can be had in open formats', async () => {
    const { body: take } = await bring(writeWav(recording), 'a.wav');
    const had = (as: string): Promise<Buffer> => soundOf(`/api/takes/${take.id}/download?as=${as}`);
    const samples = 8 * take.lengthMs;
    for (const as of ['muLaw', 'aLaw']) expect(Math.abs((await had(as)).length - samples)).toBeLessThan(9);
    for (const as of ['wav', 'muLawWav', 'aLawWav', 'asOnPhone']) {
      const read = readWav(await had(as));
      expect(read.ok && levelDb(read.value)).toBeGreaterThan(-27);
    }
    expect((await had('au')).subarray(0, 4).toString()).toBe('.snd');
    expect((await ask('get', `/api/takes/${take.id}/download?as=mp3`)).status).toBe(422);
  });

  it('can be marked as right, put away and brought back', async () => {
    const { body: take } = await bring(writeWav(recording), 'a.wav', { text: 'Hello.' });
    const says = { words: 'Hello', options: [{ key: '1', label: 'moorings' }], live: [] };
    await ask('patch', `/api/takes/${take.id}`, { says: JSON.stringify(says) });
    const listed = async () =>
      (await ask('get', '/api/takes')).body.find((each: { id: string }) => each.id === take.id);
    expect(await listed()).toMatchObject({ says, text: 'Hello.' });
    await ask('delete', `/api/takes/${take.id}`);
    expect(await listed()).toBeUndefined();
    await ask('post', `/api/takes/${take.id}/restore`);
    expect(await listed()).toMatchObject({ says });
    expect((await ask('patch', '/api/takes/take:gone', {})).status).toBe(404);
  });

  it('is heard in calls in place of the voice, and on air as it was put there', async () => {
    const { body: take } = await bring(writeWav(recording), 'a.wav', { text: 'Regatta today.' });
    const { body: greeting } = await ask('post', '/api/greetings', { name: 'Regatta', words: 'Hello.', voice: 'slt' });
    const use = { takeId: take.id, byVoice: false };
    await ask('patch', `/api/greetings/${greeting.id}`, { revision: 1, take: use });
    expect(
      (await ask('patch', `/api/greetings/${greeting.id}`, { revision: 2, take: { ...use, takeId: 'take:no' } }))
        .status,
    ).toBe(404);
    const {
      body: [line],
    } = await ask('get', '/api/lines');
    const draftPath = `/api/lines/${line.id}/draft`;
    const { body: draft } = await ask('get', draftPath);
    const say = { type: 'say', spoken: { type: 'greeting', greetingId: greeting.id } };
    const otherwise = [say, { type: 'hangUp', words: '' }];
    const attendant = { ...draft.attendant, answering: { rules: [], otherwise } };
    const { body: saved } = await ask('put', draftPath, { revision: draft.revision, attendant });
    const put = await airDraft(server, line.id, saved.revision);
    expect(put).toMatchObject({ status: 201 });
    const heard = async (of: string) => (await ask('get', `/api/lines/${line.id}/script?of=${of}`)).body.takes;
    expect(await heard('onAir')).toContainEqual({
      id: take.id,
      audioId: take.audioId,
      lengthMs: take.lengthMs,
      text: 'Regatta today.',
    });
    await ask('post', `/api/takes/${take.id}/polish`, { recipe: JSON.stringify({ ...recipe, trim: false }) });
    expect((await heard('onAir')).at(-1)).toMatchObject({ audioId: take.audioId });
    expect((await heard('draft')).find(({ id }: { id: string }) => id === take.id).audioId).not.toBe(take.audioId);
    const trial = { atMs: 1795446000000, callerNumber: 'anonymous', caller: [], staff: { type: 'noAnswer' } };
    const { body } = await ask('post', `/api/lines/${line.id}/trials`, { of: 'onAir', trials: [trial] });
    expect(body[0].transcript).toContainEqual(expect.objectContaining({ type: 'said', text: 'Regatta today.' }));
  });
});

describe('how words are said', () => {
  it('is the same everywhere and at once', async () => {
    const spoken = async (text: string) =>
      (await ask('post', '/api/speech', { voice: 'slt', texts: [text] })).body[0] as { audioId: string; text: string };
    const before = await spoken('Ask for Achterberg.');
    const words = [{ written: 'Achterberg', said: 'Akter bairg', language: null }];
    const { body: empty } = await ask('get', '/api/dictionary');
    expect((await ask('put', '/api/dictionary', { revision: empty.revision, words })).status).toBe(200);
    const after = await spoken('Ask for Achterberg.');
    expect(after.audioId).not.toBe(before.audioId);
    expect(after).toMatchObject({
      text: 'Ask for Achterberg.',
      audioId: (await spoken('Ask for Akter bairg.')).audioId,
    });
    expect((await ask('put', '/api/dictionary', { revision: empty.revision, words: [] })).status).toBe(409);
    expect((await ask('put', '/api/dictionary', { revision: 2, words: [{ ...words[0], said: '' }] })).status).toBe(422);
  });
});

/** So many seconds of silence in mu-law; to code them sample by sample would take long. */
function silentWav(seconds: number, rateHz = 8000): Uint8Array {
  const head = writeMuLawWav({ samples: new Float32Array(2), rateHz: 8000 }).subarray(0, 44);
  const file = new Uint8Array(44 + seconds * rateHz).fill(0xff);
  file.set(head);
  const view = new DataView(file.buffer);
  view.setUint32(4, file.length - 8, true);
  view.setUint32(24, rateHz, true);
  view.setUint32(40, file.length - 44, true);
  return file;
}

function withTag(wav: Uint8Array, tag: number): Uint8Array {
  new DataView(wav.buffer).setUint16(20, tag, true);
  return wav;
}
