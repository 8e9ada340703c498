import { encodeG711 } from '@locutor/core/audio';
import type { PersonId } from '@locutor/core/directory';
import type { DeskHears, DeskView } from '@locutor/core/exchange';
import { LiveLine } from './liveLine.service';
import { LiveClient } from '../testing/liveClient';
import { peopleNamed } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

/** Twenty milliseconds of a voice, more or less. */
const frame = Buffer.from(
  encodeG711(
    Float32Array.from({ length: 160 }, (_, at) => 0.3 * Math.sin((2 * Math.PI * 400 * at) / 8000)),
    'mu',
  ),
);

let server: TestServer;
let noor: PersonId;
let noors: LiveClient<DeskHears>;

beforeEach(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
  await server.ask('post', '/api/start', boatyardFacts);
  [noor] = await peopleNamed(server, 'Noor');
  // The line reads the directory a moment after it changed.
  await server.clock.until(() => server.app.get(LiveLine).isPerson(noor) || undefined, 1000);
  noors = await new LiveClient<DeskHears>(server, `desk/${encodeURIComponent(noor)}`).open();
});
afterEach(() => server.stop());

const shows = (passes: (view: DeskView) => boolean) =>
  noors.hears((message) => message.type === 'view' && passes(message.view));
const isIn = (phase: string) => shows(({ doing }) => doing.type === 'calling' && doing.phase === phase);
const ask = async (more: object = {}) =>
  server.ask('post', '/api/phone-takes', {
    personId: noor,
    name: 'Storm',
    place: 'greeting:storm',
    text: 'We are closed.',
    says: JSON.stringify({ words: 'We are closed.', options: [], live: [] }),
    ...more,
  });
const speak = async (ms: number): Promise<void> => {
  for (let atMs = 0; atMs < ms; atMs += 20) {
    noors.say(frame);
    await server.clock.pass(20);
  }
};
/** What was asked is answered once enough time has passed. */
async function whilePassing<Answer>(asked: Promise<Answer>): Promise<Answer> {
  let answer: Answer | undefined;
  void asked.then((given) => (answer = given));
  return server.clock.until(() => answer, 60_000);
}
const takes = async () => (await server.ask('get', '/api/takes')).body as { source: string; text: string }[];

describe('a greeting recorded by phone', () => {
  it('is kept as it was spoken, made good, before anything was ever on air', async () => {
    const asked = ask();
    await shows(({ doing }) => doing.type === 'rungForTake' && doing.of.words === 'We are closed.');
    noors.say({ type: 'answer' });
    await isIn('takeRecording');
    await speak(2000);
    noors.say({ type: 'key', key: '#' });
    await isIn('takeAsking');
    noors.say({ type: 'key', key: '1' });
    // It is said that it was kept; then the call is over.
    const { status, body } = await whilePassing(asked);
    expect(status).toBe(201);
    expect(body).toMatchObject({ source: 'phone', place: 'greeting:storm', text: 'We are closed.' });
    expect(body.lengthMs).toBeGreaterThan(1200);
    expect(body.lengthMs).toBeLessThan(2500);
    expect(await takes()).toHaveLength(1);
    const { body: log } = await server.ask('get', '/api/calls');
    expect(log.calls[0]).toMatchObject({ staffCaller: noor, outcome: 'greetingRecorded' });
  });

  it('is not kept when they hang up, and whoever asked is told', async () => {
    const asked = ask();
    await shows(({ doing }) => doing.type === 'rungForTake');
    noors.say({ type: 'answer' });
    await isIn('takeRecording');
    await speak(1500);
    noors.say({ type: 'key', key: '#' });
    await isIn('takeAsking');
    noors.say({ type: 'hangUp' });
    expect(await asked).toMatchObject({
      status: 409,
      body: { detail: 'The phone was hung up and nothing was kept. Ring it again when you like.' },
    });
    expect(await takes()).toEqual([]);
  });

  it('asks to speak again where it hears nothing', async () => {
    const asked = ask();
    await shows(({ doing }) => doing.type === 'rungForTake');
    noors.say({ type: 'answer' });
    await isIn('takeRecording');
    noors.say({ type: 'key', key: '#' });
    await shows(({ doing }) => doing.type === 'calling' && doing.phase === 'takeFinishing');
    const before = noors.heard.length;
    await noors.hears((each) => each.type === 'play' && noors.heard.indexOf(each) >= before - 1);
    noors.say({ type: 'hangUp' });
    expect((await asked).status).toBe(409);
    expect(await takes()).toEqual([]);
  });

  it('is refused in words when the phone is declined, in use, or nobody’s', async () => {
    const declined = ask();
    await shows(({ doing }) => doing.type === 'rungForTake');
    expect((await ask()).body.detail).toBe('That phone is in use. Try again later, or ring another one.');
    noors.say({ type: 'decline' });
    expect((await declined).body.detail).toBe('Nobody answered that phone. Try again, or ring another one.');
    expect((await ask({ personId: 'person:nobody' })).status).toBe(404);
    expect((await ask({ place: '../../etc' })).status).toBe(422);
  });
});
