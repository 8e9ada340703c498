import { joinPcm, readWav, writeWav, type Pcm } from '@locutor/core/audio';
import request from 'supertest';
import { outFolder, runFlite } from '../speech/flite';
import { ListeningService } from './listening.service';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;

beforeAll(async () => {
  server = await testServer({ listens: true });
  await server.ask('post', '/api/start', boatyardFacts);
});
afterAll(() => server.stop());

/** Has sentences spoken as at a microphone, not as on the telephone, and brings them as a recording. */
async function recorded(texts: readonly string[], says: object, place = 'greeting:menu'): Promise<string> {
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
    .field({ place, source: 'file', says: JSON.stringify(says) })
    .attach('audio', Buffer.from(writeWav(joinPcm(pieces, pieces[0]?.rateHz ?? 0))), 'menu.wav');
  return (sent.body as { id: string }).id;
}

const menu = {
  words: 'Thank you for calling Larkspur Cove Boatyard. {options}',
  options: [
    { key: '1', label: 'moorings and dock space' },
    { key: '3', label: 'the parts counter' },
    { key: '5', label: 'Achterberg sails' },
  ],
  live: [],
};
const spoken = [
  'Thank you for calling Larkspur Cove Boatyard.',
  'For moorings and dock space, press 1.',
  'For the parts counter, press 3.',
  'For Achterberg sails, press 5.',
];

/** What is known of a recording once somebody listened to it. */
async function verdictOn(id: string) {
  await server.app.get(ListeningService).settled();
  const { body } = await server.ask('get', '/api/takes');
  return (body as { id: string; verdict: object | null }[]).find((each) => each.id === id)?.verdict;
}

/** Two recordings are listened to, below everything else that runs meanwhile. */
jest.setTimeout(120_000);

describe('a recording that is brought', () => {
  it('is listened to without anybody asking: names that no dictionary has, the keys, and what is said instead', async () => {
    const { body: greeting } = await server.ask('post', '/api/greetings', {
      ...{ name: 'Menu', words: 'Thank you for calling.', voice: 'slt' },
    });
    const { body: there } = await server.ask('get', '/api/listening');
    const right = await recorded(spoken, menu, greeting.id);
    if (!there.isThere) {
      // Without the recogniser nobody knows: the manager is asked.
      expect(await verdictOn(right)).toEqual({ type: 'unknown', why: 'noRecogniser' });
      return;
    }
    expect(await verdictOn(right)).toEqual({ type: 'right', by: 'listening' });
    const wrong = await recorded(
      [...spoken.slice(0, 2), 'For the parts counter, press 4.', ...spoken.slice(3)],
      menu,
      greeting.id,
    );
    const verdict = (await verdictOn(wrong)) as { type: string; parts: { text: string; insteadOf: string | null }[] };
    expect(verdict).toMatchObject({ type: 'other', by: 'listening' });
    expect(verdict.parts).toContainEqual({ text: '4', insteadOf: '3' });
  });

  it('cannot be listened to in another language, nor without words: the manager is asked', async () => {
    const { body: french } = await server.ask('post', '/api/greetings', {
      ...{ name: 'Bonjour', words: 'Bonjour.', voice: 'frWoman' },
    });
    const says = { words: 'Bonjour et bienvenue.', options: [], live: [] };
    expect(await verdictOn(await recorded(['Hello.'], says, french.id))).toEqual({ type: 'unknown', why: 'language' });
    const nothing = await recorded(['Hello.'], { ...says, words: '' }, french.id);
    expect(await verdictOn(nothing)).toEqual({ type: 'unknown', why: 'noWords' });
  });

  it('is what the manager says that it is, and can be asked about again', async () => {
    const says = { words: 'The fuel dock opens at nine.', options: [], live: [] };
    const id = await recorded(['Hello.'], says, 'greeting:gone');
    await verdictOn(id);
    const tell = (body: object) => server.ask('patch', `/api/takes/${id}`, body);
    const { body: other } = await tell({ answer: 'The fuel dock opens at ten.' });
    expect(other).toMatchObject({ text: 'The fuel dock opens at ten.', verdict: { type: 'other', by: 'manager' } });
    const { body: right } = await tell({ answer: 'the fuel dock opens at 9' });
    expect(right.verdict).toEqual({ type: 'right', by: 'manager' });
    expect((await tell({ verdict: '{"type":"perhaps"}' })).status).toBe(422);
    expect((await tell({ verdict: 'null' })).body.verdict).toBeNull();
    expect(await verdictOn(id)).toMatchObject({ type: 'unknown' });
  });
});
