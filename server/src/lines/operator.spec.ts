import { testServer, boatyardFacts, type TestServer } from '../testing/testServer';

let server: TestServer;
const ask: TestServer['ask'] = (...asked) => server.ask(...asked);
const line = async () => (await ask('get', '/api/lines')).body[0];
const people = async (): Promise<{ id: string; name: string }[]> => (await ask('get', '/api/people')).body;
const name = async (operatorId: unknown) => {
  const { id, revision } = await line();
  return ask('patch', `/api/lines/${id}`, { revision, operatorId });
};

beforeAll(async () => {
  server = await testServer();
  expect((await ask('post', '/api/start', { ...boatyardFacts, operator: 1 })).status).toBeLessThan(300);
});
afterAll(() => server.stop());

describe('the operator of a line', () => {
  it('is named at the first run, and is whom callers reach who press nothing', async () => {
    const second = (await people()).find((person) => person.name === boatyardFacts.people[1]?.name);
    expect((await line()).operatorId).toBe(second?.id);
    const { id } = await line();
    // A Monday at ten in Maine.
    const trial = {
      atMs: Date.UTC(2026, 10, 30, 15),
      callerNumber: 'anonymous',
      caller: [],
      staff: { type: 'noAnswer' },
    };
    const { body } = await ask('post', `/api/lines/${id}/trials`, { of: 'draft', trials: [trial] });
    expect(body[0].transcript).toContainEqual(
      expect.objectContaining({ type: 'ringing', phone: { type: 'person', personId: second?.id, number: null } }),
    );
  });

  it('can be a group, and nobody; what is not in the directory is refused', async () => {
    const group = (await ask('post', '/api/groups', { name: 'Front desk' })).body;
    expect((await name(group.id)).body.operatorId).toBe(group.id);
    expect((await ask('delete', `/api/groups/${group.id}`)).status).toBe(409);
    expect((await name(null)).body.operatorId).toBeNull();
    expect((await name('person:gone')).status).toBe(422);
    expect((await name('box:one')).status).toBe(422);
  });

  it('is a use of a person, who cannot be deleted before another is named in their place', async () => {
    const [one, other] = await people();
    await name(one?.id);
    expect((await ask('get', '/api/uses')).body[one?.id ?? '']).toContainEqual(
      expect.stringMatching(/^the operator of/),
    );
    expect((await ask('delete', `/api/people/${one?.id}`)).status).toBe(409);
    await ask('post', '/api/replacements', { from: one?.id, to: other?.id });
    expect((await line()).operatorId).toBe(other?.id);
  });
});
