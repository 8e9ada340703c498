import { joinPcm, readWav, writeWav, type Pcm } from '@locutor/core/audio';
import request from 'supertest';
import { outFolder, runFlite } from '../speech/flite';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
});
afterAll(() => server.stop());

/** Has sentences spoken as at a microphone, not as on the telephone, and brings them as a recording. */
async function recorded(texts: readonly string[]): Promise<string> {
  const pieces: Pcm[] = [];
  for (const text of texts) {
    const run = await runFlite('-voice', 'slt', '-t', text, '-o', `${outFolder}/spoken.wav`);
    const wav = readWav(run.file('spoken.wav') ?? new Uint8Array());
    if (!wav.ok) throw new Error('not spoken');
    pieces.push(wav.value, { samples: new Float32Array(wav.value.rateHz / 2), rateHz: wav.value.rateHz });
  }
  const sent = await request(server.app.getHttpServer())
    .post('/api/takes')
    .set('Host', '127.0.0.1')
    .field({ place: 'greeting:menu', source: 'file' })
    .attach('audio', Buffer.from(writeWav(joinPcm(pieces, pieces[0]?.rateHz ?? 0))), 'menu.wav');
  return (sent.body as { id: string }).id;
}

const menu = {
  options: [
    { key: '1', label: 'moorings and dock space' },
    { key: '3', label: 'the parts counter' },
    { key: '5', label: 'Achterberg sails' },
  ],
  sentences: ['Thank you for calling Larkspur Cove Boatyard.'],
};
const listen = (id: string) => server.ask('post', `/api/takes/${id}/listen`, menu);

describe('listening to a recording', () => {
  it('hears the keys that are said, also for names that no dictionary has, and finds the wrong one', async () => {
    const { body: there } = await server.ask('get', '/api/listening');
    const id = await recorded([
      'Thank you for calling Larkspur Cove Boatyard.',
      'For moorings and dock space, press 1.',
      'For the parts counter, press 4.',
      'For Achterberg sails, press 5.',
    ]);
    const { status, body } = await listen(id);
    if (!there.isThere) {
      // Without the recogniser it says so; the manager types the words.
      expect([status, body.detail]).toEqual([409, expect.stringContaining('No speech recogniser is installed')]);
      return;
    }
    expect(body.options).toMatchObject([
      { type: 'right', key: '1' },
      { type: 'wrongKey', key: '3', heard: '4', label: 'the parts counter' },
      { type: 'right', key: '5' },
    ]);
    expect(body.lines.join(' ')).toContain('larkspur cove boatyard');
  });

  it('tells what it does not hear, and refuses what it cannot listen for', async () => {
    const { body: there } = await server.ask('get', '/api/listening');
    const id = await recorded(['For moorings and dock space, press 1.']);
    if (there.isThere) {
      const { body } = await listen(id);
      expect(body.options.slice(1)).toMatchObject([{ type: 'notHeard' }, { type: 'notHeard' }]);
    }
    expect((await server.ask('post', `/api/takes/${id}/listen`, { ...menu, options: [{ key: 'x' }] })).status).toBe(
      422,
    );
  });
});
