import { peopleNamed } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let noor: string;
let priya: string;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  [noor, priya] = await peopleNamed(server, 'Noor', 'Priya');
});
afterAll(() => server.stop());

const of = (...ids: string[]) => ids.map((personId) => ({ personId, tier: 1 }));
const add = (list: 'groups' | 'queues', body: object) => server.ask('post', `/api/${list}`, body);
const says = (answer: { body: { errors?: { says: string }[]; detail?: string } }): string =>
  `${answer.body.detail} ${(answer.body.errors ?? []).map((each) => each.says).join(' ')}`;

describe('groups and queues', () => {
  it('are added with what is usual, changed, and deleted with a way back', async () => {
    const { status, body: group } = await add('groups', { name: 'Front desk', members: of(noor, priya) });
    expect(status).toBe(201);
    expect(group).toMatchObject({ order: 'allAtOnce', memberSeconds: 18, restSeconds: 0, members: of(noor, priya) });
    const path = `/api/groups/${group.id}`;
    const changed = await server.ask('patch', path, {
      revision: 1,
      order: 'tierByTier',
      members: of(priya),
      directNumber: '+1 207 555 0150',
    });
    expect(changed.body).toMatchObject({ order: 'tierByTier', directNumber: '+12075550150', revision: 2 });
    expect((await server.ask('patch', path, { revision: 1, name: 'Other' })).status).toBe(409);
    expect((await server.ask('delete', path)).status).toBe(204);
    expect((await server.ask('post', `${path}/restore`)).body.name).toBe('Front desk');
  });

  it('take a queue with its words, music and limits', async () => {
    const waiting = [
      { type: 'music', seconds: 30 },
      { type: 'words', words: 'Thank you for waiting.' },
    ];
    const { body: queue } = await add('queues', {
      name: 'Launch',
      members: of(noor),
      waiting,
      order: 'pick',
      exitKey: null,
    });
    expect(queue).toMatchObject({ waiting, order: 'pick', exitKey: null, mostCallers: 10, longestWaitSeconds: 180 });
  });

  it('take a rota of their members, which goes on without who is replaced or leaves', async () => {
    const rota = {
      ...{ turns: [noor, priya, noor], from: '2026-11-02', handoverOn: [1], handoverMin: 480, thenOthers: true },
      swaps: [{ date: '2026-12-24', personId: priya }],
    };
    const { body: group } = await add('groups', { name: 'Nights', members: of(noor, priya), order: 'onCall', rota });
    expect(group).toMatchObject({ order: 'onCall', rota });
    const replaced = await server.ask('post', '/api/replacements', { from: priya, to: null });
    expect(replaced.status).toBe(200);
    const now = async () => {
      const { body: all } = await server.ask('get', '/api/groups');
      return (all as { id: string; members: unknown; rota: unknown }[]).find(({ id }) => id === group.id);
    };
    const after = await now();
    expect(after?.members).toEqual(of(noor));
    expect(after?.rota).toMatchObject({ turns: [noor, noor], swaps: [] });
    await server.ask('post', `/api/replacements/${replaced.body.id}/undo`);
    expect((await now())?.rota).toEqual(rota);
    await server.ask('delete', `/api/groups/${group.id}`);
  });

  it.each([
    [{ turns: ['person:gone'] }, 'Somebody is in the rota, but is no member of Nights.'],
    [{ from: '2026-02-30' }, 'on which day the first turn begins'],
    [{ handoverOn: [] }, 'Choose at least one day'],
    [{ handoverOn: [1, 8] }, 'are 1 for Monday to 7 for Sunday'],
    [{ handoverMin: 1440 }, 'must be a whole number from 0 to 1439'],
    [{ swaps: [{ date: 'tomorrow', personId: 'person:x' }] }, 'A date is written as 2026-11-30.'],
  ])('refuse a rota with %j in words', async (wrong, why) => {
    const rota = { turns: [noor], from: '2026-11-02', handoverOn: [1], handoverMin: 480, swaps: [], thenOthers: true };
    const answer = await add('groups', { name: 'Nights', members: of(noor), rota: { ...rota, ...wrong } });
    expect(answer.status).toBe(422);
    expect(says(answer)).toContain(why);
  });

  it.each([
    ['groups', { members: 'twice' }, 'Noor Haldane is in Wrong twice.'],
    ['groups', { members: [{ personId: 'group:itself', tier: 1 }] }, 'That is not the id of a person.'],
    ['groups', { members: [{ personId: 'person:gone', tier: 1 }] }, 'not in the directory any more'],
    ['groups', { extension: '212' }, 'Extension 212 is Noor Haldane’s already.'],
    ['groups', { directNumber: '+1 207 555 0140' }, 'is the number of Larkspur Cove Boatyard itself'],
    ['groups', { memberSeconds: 1 }, 'must be a whole number from 5 to 300'],
    ['groups', { speakerCode: 'abc' }, 'A code has 2 to 6 digits'],
    ['groups', { order: 'sideways' }, 'Members are rung'],
    ['queues', { mostCallers: 0 }, 'The most callers must be a whole number from 1 to 200.'],
    ['queues', { longestWaitSeconds: 0 }, 'must be a whole number from 10 to 3600'],
    ['queues', { exitKey: 'A' }, 'one of 0 to 9, * and #'],
    ['queues', { waiting: [{ type: 'music' }] }, 'Music needs its seconds'],
    ['queues', { extension: '204' }, 'Extension 204 is Priya Castellanos’s already.'],
  ] as const)('refuse in words: %s with %j', async (list, wrong, words) => {
    const members = 'members' in wrong && wrong.members === 'twice' ? of(noor, noor) : undefined;
    const answer = await add(list, { name: 'Wrong', ...wrong, ...(members ? { members } : {}) });
    expect(answer.status).toBeGreaterThanOrEqual(409);
    expect(says(answer)).toContain(words);
  });

  it('keep extensions and codes of everything that is dialled apart', async () => {
    await add('groups', { name: 'Yard', extension: '303', speakerCode: '*50' });
    const person = await server.ask('post', '/api/people', { name: 'Ada', extension: '303' });
    expect(says(person)).toContain('Extension 303 is Yard’s already.');
    const box = await server.ask('post', '/api/boxes', { name: 'Yard', code: '*50', pin: '1234' });
    expect(says(box)).toContain('*50 is the code of Yard already.');
    expect(says(await server.ask('post', '/api/boxes', { name: 'Parts', code: '*51' }))).toContain('needs a PIN');
  });

  it('hold those who are their members, and let another take their place', async () => {
    const { body: group } = await add('groups', { name: 'Moorings', members: of(priya) });
    const refused = await server.ask('delete', `/api/people/${priya}`);
    expect(refused.status).toBe(409);
    expect(refused.body.uses).toContain('a member of the group Moorings');
    await server.ask('post', '/api/replacements', { from: priya, to: noor });
    const groups = (await server.ask('get', '/api/groups')).body as { id: string; members: object[] }[];
    expect(groups.find(({ id }) => id === group.id)?.members).toEqual(of(noor));
  });

  it('never send the PIN of a box back', async () => {
    const { body: box } = await server.ask('post', '/api/boxes', { name: 'Secret', code: '*77', pin: '97531' });
    expect(box.code).toBe('*77');
    for (const path of ['/api/boxes', '/api/lines']) {
      expect(JSON.stringify((await server.ask('get', path)).body)).not.toContain('97531');
    }
  });
});
