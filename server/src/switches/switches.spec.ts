import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let path: string;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  const [line] = (await server.ask('get', '/api/lines')).body as { id: string }[];
  path = `/api/lines/${line?.id}/switch`;
});
afterAll(() => server.stop());

const hourMs = 3_600_000;
const closing = (change: object = {}) => ({
  to: { type: 'closed' },
  untilMs: server.clock.now() + hourMs,
  words: 'Closed early because of the storm.',
  by: 'Noor Haldane',
  replaces: null,
  ...change,
});
const current = async () => (await server.ask('get', path)).body.switched as { id: number } | null;

describe('the switch of a line', () => {
  it('is off at first, is set, is part of what calls go by, and is ended by somebody else', async () => {
    expect((await server.ask('get', path)).body).toEqual({ switched: null, past: [] });
    const { status, body } = await server.ask('put', path, closing());
    expect(status).toBe(200);
    expect(body.switched).toMatchObject({ to: { type: 'closed' }, by: 'Noor Haldane', endedAt: null });
    const script = await server.ask('get', path.replace('switch', 'script'));
    expect(script.body.lines[0].switched).toMatchObject({ words: 'Closed early because of the storm.' });
    const ended = await server.ask('post', `${path}/end`, { by: 'Priya Castellanos' });
    expect(ended.body.switched).toBeNull();
    expect(ended.body.past[0]).toMatchObject({ by: 'Noor Haldane', endedBy: 'Priya Castellanos' });
    expect((await server.ask('post', `${path}/end`, { by: 'Priya Castellanos' })).status).toBe(200);
  });

  it('ends by itself', async () => {
    await server.ask('put', path, closing());
    await server.clock.pass(1000);
    expect(await current()).not.toBeNull();
    server.clock.jump(hourMs);
    expect(await current()).toBeNull();
  });

  it('tells the second of two who set it at once, and lets them replace it when they have seen it', async () => {
    await server.ask('put', path, closing());
    const second = await server.ask('put', path, closing({ by: 'Priya Castellanos' }));
    expect(second.status).toBe(409);
    expect(second.body.detail).toContain('Noor Haldane has set the switch meanwhile');
    const replaced = await server.ask('put', path, closing({ replaces: (await current())?.id, words: '' }));
    expect(replaced.body.switched.words).toBe('');
    await server.ask('post', `${path}/end`, { by: 'Noor Haldane' });
  });

  it.each([
    [{ untilMs: 1 }, 'That is over already.'],
    [{ untilMs: Date.UTC(2027, 0, 2) }, 'The switch ends within 31 days.'],
    [{ by: '' }, 'The name of who does it is missing.'],
    [{ to: { type: 'open' } }, 'Choose the period whose answer is meant.'],
    [{ to: { type: 'party' } }, 'Choose open, closed or another sheet.'],
    [{ words: 'x'.repeat(601) }, 'What callers hear is too long'],
  ])('refuses %j in words', async (change, says) => {
    const { status, body } = await server.ask('put', path, closing(change));
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toContain(says);
    expect(await current()).toBeNull();
  });
});
