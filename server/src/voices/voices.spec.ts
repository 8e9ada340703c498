import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { testServer, type TestServer } from '../testing/testServer';

/** Says each word as a tone of a tenth of a second, longer at a slower pace. */
const program = `
import { readFileSync } from 'node:fs';
const words = readFileSync(0, 'utf8').trim().split(/\\s+/).length;
const samples = Math.round((words * 1600 * 100) / Number(process.argv[2] ?? 100));
const wav = Buffer.alloc(44 + samples * 2);
wav.write('RIFF', 0); wav.writeUInt32LE(36 + samples * 2, 4); wav.write('WAVEfmt ', 8);
wav.writeUInt32LE(16, 16); wav.writeUInt16LE(1, 20); wav.writeUInt16LE(1, 22); wav.writeUInt32LE(16000, 24);
wav.writeUInt32LE(32000, 28); wav.writeUInt16LE(2, 32); wav.writeUInt16LE(16, 34);
wav.write('data', 36); wav.writeUInt32LE(samples * 2, 40);
for (let at = 0; at < samples; at++) wav.writeInt16LE(Math.round(9000 * Math.sin(at / 5)), 44 + at * 2);
process.stdout.write(wav);
`;

const voicesDir = mkdtempSync(join(tmpdir(), 'locutor-voices-'));
const node = process.execPath;
const addVoice = (name: string, file: string | object): void => {
  mkdirSync(join(voicesDir, name), { recursive: true });
  writeFileSync(join(voicesDir, name, 'voice.json'), typeof file === 'string' ? file : JSON.stringify(file));
  writeFileSync(join(voicesDir, name, 'say.mjs'), program);
};

let server: TestServer;
beforeAll(async () => {
  addVoice('en-anna', { command: [node, 'say.mjs', '{pace}'] });
  addVoice('en-broken', { command: [node, '-e', 'process.stderr.write("no model"); process.exit(3)'] });
  addVoice('en-mute', { command: [node, '-e', 'process.stdout.write("hello")'] });
  addVoice('en-lost', { command: ['./nowhere'] });
  addVoice('de-odd', '{"command": "say"}');
  addVoice('de-worse', 'command: say');
  addVoice('Anna', { command: [node, 'say.mjs'] });
  mkdirSync(join(voicesDir, 'fr-empty'));
  server = await testServer({ voice: 'spoken', voicesDir });
});
afterAll(async () => {
  await server.stop();
  rmSync(voicesDir, { recursive: true });
});

const speak = (voice: string, text: string) => server.ask('post', '/api/speech', { voice, texts: [text] });
const tryVoice = (voice: string) => server.ask('post', '/api/voices/try', { voice });

describe('voices of the business’s own', () => {
  it('are what the folder has, and what is none is told with why', async () => {
    const { body } = await server.ask('get', '/api/voices');
    expect(body.folder).toBe(voicesDir);
    expect(body.voices).toContainEqual({ voice: 'own-en-anna', pace: true, pitch: false });
    const says = Object.fromEntries(
      body.troubles.map((each: { folder: string; says: string }) => [each.folder, each.says]),
    );
    expect(Object.keys(says).sort()).toEqual(['Anna', 'de-odd', 'de-worse', 'fr-empty']);
    expect(says['Anna']).toContain('such as en-anna');
    expect(says['de-odd']).toContain('"command"');
    expect(says['de-worse']).toContain('not JSON');
    expect(says['fr-empty']).toContain('no voice.json');
  });

  it('speak as the telephone carries it, at the pace that is asked for', async () => {
    const at = async (voice: string): Promise<number> =>
      (await speak(voice, 'One two three four five six seven eight nine ten.')).body[0].lengthMs;
    const usual = await at('own-en-anna');
    expect(usual).toBeGreaterThan(900);
    expect(usual).toBeLessThan(1200);
    expect(await at('own-en-anna@80+0')).toBeGreaterThan(usual * 1.15);
  });

  it('are taken where a voice is asked for, and refused where they are none', async () => {
    const made = await server.ask('post', '/api/greetings', { name: 'Hello', words: 'Hello.', voice: 'own-en-anna' });
    expect(made.status).toBe(201);
    for (const voice of ['own-xx-anna', 'own-en-../anna', 'own-en-Anna']) {
      const body = { name: voice, words: 'Hello.', voice };
      expect((await server.ask('post', '/api/greetings', body)).status).toBe(422);
    }
  });

  it.each([
    ['own-en-broken', 'ended with 3. It said: no model'],
    ['own-en-mute', 'no WAV file'],
    ['own-en-lost', 'Its program ./nowhere is not there'],
    ['own-en-gone', 'no voice.json'],
  ])('%s, which cannot speak, is told with why when it is tried', async (voice, why) => {
    const { status, body } = await tryVoice(voice);
    expect(status).toBe(422);
    expect(body.detail).toContain(why);
  });

  it('that cannot speak leave nobody in silence: a shipped voice speaks, until they can', async () => {
    const words = 'Please hold the line.';
    const [instead] = (await speak('slt', words)).body;
    expect((await speak('own-en-late', words)).body[0].audioId).toBe(instead.audioId);
    addVoice('en-late', { command: [node, 'say.mjs', '{pace}'] });
    const [own] = (await speak('own-en-late', words)).body;
    expect(own.audioId).not.toBe(instead.audioId);
    expect(own.lengthMs).toBeLessThan(600);
  });
});

it('there are none where no folder was named, and none can be called', async () => {
  const plain = await testServer();
  try {
    expect((await plain.ask('get', '/api/voices')).body).toEqual({ folder: null, voices: [], troubles: [] });
  } finally {
    await plain.stop();
  }
});
