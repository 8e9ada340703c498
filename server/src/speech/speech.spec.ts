import request from 'supertest';
import { levelDb, readWav } from '@locutor/core/audio';
import { testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer({ voice: 'spoken' });
});
afterAll(() => server.stop());

const ask: TestServer['ask'] = (method, path, body) => server.ask(method, path, body);

describe('the voices, when they really speak,', () => {
  it('speak each sentence as the telephone carries it, once', async () => {
    const texts = ['For moorings, press 1.', 'Café “Larkspur” — open.'];
    const { body: spoken } = await ask('post', '/api/speech', { voice: 'slt', texts });
    const audio = await request(server.app.getHttpServer())
      .get(`/api/audio/${spoken[0].audioId}`)
      .set('Host', 'localhost');
    const wav = readWav(new Uint8Array(audio.body));
    if (!wav.ok) throw new Error('not a WAV file');
    expect(wav.value.rateHz).toBe(8000);
    expect(levelDb(wav.value)).toBeGreaterThan(-26);
    expect(wav.value.samples.length / 8).toBeCloseTo(spoken[0].lengthMs, -1);
    expect((await ask('post', '/api/speech', { voice: 'slt', texts })).body).toEqual(spoken);
    expect((await ask('post', '/api/speech', { voice: 'robot', texts })).status).toBe(422);
  });

  it('take a pace and a pitch', async () => {
    const lengthAt = async (voice: string): Promise<number> =>
      (await ask('post', '/api/speech', { voice, texts: ['Thank you for calling the boatyard.'] })).body[0].lengthMs;
    const usual = await lengthAt('slt');
    expect(await lengthAt('slt@80+0')).toBeGreaterThan(usual * 1.15);
    expect(Math.abs((await lengthAt('slt@100+3')) - usual)).toBeLessThan(usual * 0.12);
    expect(await lengthAt('frWoman@130-2')).toBeLessThan((await lengthAt('frWoman')) * 0.9);
    for (const voice of ['slt@300+0', 'slt@90+9', 'nobody']) {
      expect((await ask('post', '/api/speech', { voice, texts: ['x'] })).status).toBe(422);
    }
  });

  it('speak other languages than English', async () => {
    const texts = ['Bonjour, vous êtes au chantier naval.'];
    const { status, body } = await ask('post', '/api/speech', { voice: 'frWoman', texts });
    expect(status).toBe(200);
    expect(body[0].lengthMs).toBeGreaterThan(1200);
    expect(body[0].lengthMs).toBeLessThan(4000);
  });
});
