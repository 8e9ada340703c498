import { rehearsalLimits } from '@locutor/core/rehearsals';
import { airDraft } from '../testing/airDraft';
import { boatyardFacts, testServer, type Answer, type TestServer } from '../testing/testServer';

let server: TestServer;
let line: string;
let noor: string;
beforeAll(async () => {
  server = await testServer();
  const { body } = await server.ask('post', '/api/start', { ...boatyardFacts, emergencyAddress: '1 Cannery Road' });
  line = `/api/lines/${body.id}`;
  const { body: people } = await server.ask('get', '/api/people');
  noor = people.find(({ name }: { name: string }) => name === 'Noor Haldane').id;
});
afterEach(async () => {
  for (const { id } of (await ask('get', '/rehearsals')).body) await ask('delete', `/rehearsals/${id}`);
});
afterAll(() => server.stop());

const ask: TestServer['ask'] = (method, path, body) => server.ask(method, `${line}${path}`, body);
const add = (...rehearsals: readonly object[]): Promise<Answer> => ask('post', '/rehearsals', { rehearsals });
const rehearsal = (changes: object = {}) => ({
  name: 'Key 1 reaches Noor',
  scene: {
    reading: '2026-11-23T10:00',
    callerNumber: '+12075550178',
    acts: [{ type: 'press', keys: '1' }],
    staff: [],
    others: 'answers',
  },
  expects: [{ type: 'reaches', who: noor }],
  ...changes,
});

describe('rehearsals', () => {
  it('are kept in the order they were made, with what happened when they held', async () => {
    const { body } = await add(
      rehearsal({ name: 'Second letter first' }),
      rehearsal({ name: 'A later one' }),
      rehearsal({ name: 'Broken from the start', expects: [{ type: 'ends', how: 'blocked' }] }),
    );
    expect(body.map(({ name }: { name: string }) => name)).toEqual([
      'Second letter first',
      'A later one',
      'Broken from the start',
    ]);
    expect(body.map(({ was }: { was: unknown }) => was !== null)).toEqual([true, true, false]);
  });

  it.each([
    ['no name', { name: ' ' }, 'name'],
    ['a name too long', { name: 'x'.repeat(rehearsalLimits.name + 1) }, 'name'],
    ['nothing that must happen', { expects: [] }, 'expects'],
    ['a scene that is none', { scene: 'at ten' }, 'scene'],
    [
      'a key that no phone has',
      { scene: { reading: '2026-11-23T10:00', acts: [{ type: 'press', keys: 'x' }] } },
      'scene',
    ],
    ['a thing that cannot happen', { expects: [{ type: 'sings' }] }, 'expects'],
  ])('with %s are refused, and nothing is kept', async (_, changes, at) => {
    const { status, body } = await add(rehearsal(), rehearsal(changes));
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
    expect(JSON.stringify(body.errors)).toContain(at);
    expect((await ask('get', '/rehearsals')).body).toEqual([]);
  });

  it('belong to their line', async () => {
    const {
      body: [kept],
    } = await add(rehearsal());
    const { body: other } = await server.ask('post', '/api/lines', {
      name: 'The shed',
      number: '+12075550155',
      timeZone: 'America/New_York',
    });
    const there = `/api/lines/${other.id}/rehearsals`;
    expect((await server.ask('get', there)).body).toEqual([]);
    expect((await server.ask('delete', `${there}/${kept.id}`)).status).toBe(404);
    expect((await server.ask('put', `${there}/${kept.id}`, { ...rehearsal(), revision: 1 })).status).toBe(404);
    expect((await server.ask('post', `${there}/${kept.id}/restore`)).status).toBe(404);
    expect((await ask('get', '/rehearsals')).body).toHaveLength(1);
    expect((await server.ask('get', '/api/lines/line:none/rehearsals')).body).toEqual([]);
    expect((await server.ask('post', '/api/lines/line:none/rehearsals', { rehearsals: [rehearsal()] })).status).toBe(
      404,
    );
  });

  it('tell how they part from what happened before, until a version goes on air with what happens now', async () => {
    await add(rehearsal({ expects: [{ type: 'ends', how: 'talk' }] }));
    const { attendant, revision } = (await ask('get', '/draft')).body;
    const [welcome, ...sheets] = attendant.sheets;
    const { body: people } = await server.ask('get', '/api/people');
    const priya = people.find(({ name }: { name: string }) => name === 'Priya Castellanos').id;
    const options = welcome.options.map((option: { key: string; path: { type: string }[] }) =>
      option.key === '1'
        ? { ...option, path: option.path.map((step) => (step.type === 'ring' ? { ...step, personId: priya } : step)) }
        : option,
    );
    const edited = { ...attendant, sheets: [{ ...welcome, options }, ...sheets] };
    const saved = await ask('put', '/draft', { revision, attendant: edited });
    const run = async () => (await ask('post', '/rehearsals/run', {})).body[0];
    expect(await run()).toMatchObject({ failed: [], partsAt: expect.any(Number) });
    expect((await airDraft(server, line.split('/').at(-1) ?? '', saved.body.revision)).status).toBe(201);
    expect(await run()).toMatchObject({ failed: [], partsAt: null });
  });
});
