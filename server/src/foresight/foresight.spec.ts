import { airDraft } from '../testing/airDraft';
import request from 'supertest';
import { boatyardFacts, testServer, type Answer, type TestServer } from '../testing/testServer';

let server: TestServer;
let lineId: string;
let group: { id: string; revision: number };
beforeEach(async () => {
  server = await testServer();
  lineId = (await server.ask('post', '/api/start', { ...boatyardFacts, emergencyAddress: '1 Cannery Road' })).body.id;
  const people: { id: string }[] = (await server.ask('get', '/api/people')).body;
  const members = people.map(({ id }) => ({ personId: id, tier: 1 }));
  group = (await server.ask('post', '/api/groups', { name: 'Front desk', members })).body;
});
afterEach(() => server.stop());

async function air(): Promise<Answer> {
  const { revision } = (await server.ask('get', `/api/lines/${lineId}/draft`)).body;
  return airDraft(server, lineId, revision);
}

/** Lets key 1 ring the group, and puts that on air. */
async function airGroup(): Promise<void> {
  const { attendant, revision } = (await server.ask('get', `/api/lines/${lineId}/draft`)).body;
  const [welcome, ...sheets] = attendant.sheets;
  const [first, ...options] = welcome.options;
  const ring = { type: 'ringGroup', groupId: group.id, seconds: null, before: '', hear: { type: 'ringback' } };
  const path = [ring, ...first.path.filter(({ type }: { type: string }) => type === 'takeMessage')];
  const edited = { ...attendant, sheets: [{ ...welcome, options: [{ ...first, path }, ...options] }, ...sheets] };
  const saved = await server.ask('put', `/api/lines/${lineId}/draft`, { revision, attendant: edited });
  expect(saved.status).toBe(200);
  const aired = await air();
  expect(aired.status).toBe(201);
}

/** Asks as a window does that can show a question. */
async function askFirst(method: 'patch' | 'put' | 'post' | 'delete', path: string, body: object): Promise<Answer> {
  const asked = request(server.app.getHttpServer())[method](path).set('Host', '127.0.0.1');
  const { status, type, body: answer } = await asked.set('Prefer', 'handling=strict').send(body);
  return { status, type, body: answer };
}

describe('a change that would break what is on air', () => {
  it('is not made at first, and says what callers would meet', async () => {
    await airGroup();
    const empty = { revision: group.revision, members: [] };
    const { status, type, body } = await askFirst('patch', `/api/groups/${group.id}`, empty);
    expect([status, type, body.type]).toEqual([409, 'application/problem+json', '/problems/breaks-on-air']);
    expect(body.breaks).toContainEqual({
      lineName: 'Larkspur Cove Boatyard',
      says: expect.stringContaining('Front desk'),
      why: expect.stringMatching(/\.$/),
    });
    expect(body.detail).toMatch(/^Nothing was changed yet\./);
    expect((await server.ask('get', '/api/groups')).body[0].members).toHaveLength(2);
    const found = (await server.ask('get', `/api/lines/${lineId}/proof/on-air`)).body;
    expect(found.filter(({ grade }: { grade: string }) => grade === 'fault')).toEqual([]);
  });

  it('is made with a yes, and by whoever does not want to be asked; the reading of what is on air then tells it', async () => {
    await airGroup();
    const empty = { revision: group.revision, members: [] };
    expect((await server.ask('patch', `/api/groups/${group.id}`, empty)).status).toBe(200);
    const found: { rule: string }[] = (await server.ask('get', `/api/lines/${lineId}/proof/on-air`)).body;
    expect(found.map(({ rule }) => rule)).toContain('nobodyThere');
    const again = await askFirst('patch', `/api/groups/${group.id}`, { revision: group.revision + 1, name: 'Desk' });
    expect([again.status, again.body.name]).toEqual([200, 'Desk']);
  });

  it('is not asked about while nothing is on air, nor where callers would notice nothing', async () => {
    const empty = { revision: group.revision, members: [] };
    expect((await askFirst('patch', `/api/groups/${group.id}`, empty)).status).toBe(200);
    await server.stop();
    server = await testServer();
    lineId = (await server.ask('post', '/api/start', boatyardFacts)).body.id;
    await air();
    const [noor] = (await server.ask('get', '/api/people')).body;
    const renamed = await askFirst('patch', `/api/people/${noor.id}`, {
      revision: noor.revision,
      email: 'n@cove.example',
    });
    expect(renamed.status).toBe(200);
  });

  it('may be one of the hours: words on air would state others', async () => {
    const { attendant, revision } = (await server.ask('get', `/api/lines/${lineId}/draft`)).body;
    const [welcome, ...sheets] = attendant.sheets;
    const said = { ...welcome, closingWords: 'We are open Monday to Friday, 8 am to 5:30 pm.' };
    await server.ask('put', `/api/lines/${lineId}/draft`, {
      revision,
      attendant: { ...attendant, sheets: [said, ...sheets] },
    });
    expect((await air()).status).toBe(201);
    const { hoursId } = (await server.ask('get', '/api/lines')).body[0];
    const hours = (await server.ask('get', `/api/hours/${hoursId}`)).body;
    const week = hours.week.map((span: object) => ({ ...span, endMin: 960 }));
    const change = { revision: hours.revision, periods: hours.periods, week };
    const { status, body } = await askFirst('put', `/api/hours/${hoursId}`, change);
    expect([status, body.breaks?.length]).toEqual([409, 1]);
    expect(body.breaks[0].says).toContain('8 am to 5:30 pm');
    expect((await server.ask('get', `/api/hours/${hoursId}`)).body.week).toEqual(hours.week);
  });

  it('may be one of a line: it would be out of service', async () => {
    expect((await air()).status).toBe(201);
    const line = (await server.ask('get', '/api/lines')).body[0];
    const gone = { revision: line.revision, serviceUntil: '2020-01-01' };
    const { status, body } = await askFirst('patch', `/api/lines/${lineId}`, gone);
    expect(status).toBe(409);
    expect(body.breaks.map(({ says }: { says: string }) => says).join()).toMatch(/service/);
  });

  it('may be one of a line’s number: the words say the old one; an exchange that callers do not notice is made', async () => {
    const { attendant, revision } = (await server.ask('get', `/api/lines/${lineId}/draft`)).body;
    const [welcome, ...sheets] = attendant.sheets;
    const said = { ...welcome, closingWords: 'Call us back at 207 555 0140.' };
    await server.ask('put', `/api/lines/${lineId}/draft`, {
      revision,
      attendant: { ...attendant, sheets: [said, ...sheets] },
    });
    expect((await air()).status).toBe(201);
    const line = (await server.ask('get', '/api/lines')).body[0];
    const moved = { revision: line.revision, number: '+1 207 555 0199' };
    const { status, body } = await askFirst('patch', `/api/lines/${lineId}`, moved);
    expect([status, body.breaks?.map(({ says }: { says: string }) => says)]).toEqual([
      409,
      [expect.stringContaining('207 555 0140')],
    ]);
    expect((await server.ask('get', '/api/lines')).body[0].number).toBe('+12075550140');
    const shed = { name: 'Shed', number: '+1 207 555 0155', timeZone: 'America/New_York' };
    const other = (await server.ask('post', '/api/lines', shed)).body;
    const exchanged = await askFirst('post', `/api/lines/${lineId}/exchange-numbers`, { with: other.id });
    expect([exchanged.status, exchanged.body[0].number]).toEqual([200, '+12075550155']);
  });

  it('may come of somebody who is taken out of a group', async () => {
    await airGroup();
    const people: { id: string }[] = (await server.ask('get', '/api/people')).body;
    for (const { id } of people.slice(1)) {
      const members = people.filter((each) => each.id !== id).map((each) => ({ personId: each.id, tier: 1 }));
      await server.ask('patch', `/api/groups/${group.id}`, { revision: group.revision, members });
    }
    const out = { from: people[0]?.id, to: null };
    const { status, body } = await askFirst('post', '/api/replacements', out);
    expect([status, body.breaks?.[0]?.says]).toEqual([
      409,
      'Key 1 of Welcome leads to Front desk, which nobody is in.',
    ]);
    expect((await server.ask('get', '/api/groups')).body[0].members).toHaveLength(1);
    expect((await server.ask('post', '/api/replacements', out)).status).toBe(200);
    expect((await server.ask('get', '/api/groups')).body[0].members).toHaveLength(0);
  });

  it('that is stale is told as stale, without a question', async () => {
    await airGroup();
    await server.ask('patch', `/api/groups/${group.id}`, { revision: group.revision, name: 'Desk' });
    const late = await askFirst('patch', `/api/groups/${group.id}`, { revision: group.revision, members: [] });
    expect([late.status, late.body.type]).toEqual([409, '/problems/stale']);
  });
});
