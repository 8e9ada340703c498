import { newAnnouncement, sheetId } from '@locutor/core/line';
import { airDraft } from '../testing/airDraft';
import { boatyardFacts, testServer, type Answer, type TestServer } from '../testing/testServer';

let server: TestServer;
let line: { id: string };
/** The first version has a sheet for storms; the second, which is on air, has not. */
let first: { id: string };
let second: { id: string };

const ask: TestServer['ask'] = (method, path, body) => server.ask(method, `/api/lines/${line.id}${path}`, body);
const onAirNumber = async (): Promise<number> =>
  (await ask('get', '/versions')).body.find(({ onAir }: { onAir: boolean }) => onAir).number;
const putBack = (id: string, more: object = {}): Promise<Answer> =>
  ask('post', `/versions/${id}/put-back`, { by: 'Tamsin', note: 'After all', ...more });
const rulesOf = ({ body }: Answer): readonly string[] =>
  (body.errors ?? body.findings).map(({ at, rule }: { at: string; rule?: string }) => rule ?? at);

async function air(change: (attendant: { sheets: object[] }) => object): Promise<{ id: string }> {
  const { attendant, revision } = (await ask('get', '/draft')).body;
  const saved = await ask('put', '/draft', { revision, attendant: change(attendant) });
  const { status, body } = await airDraft(server, line.id, saved.body.revision);
  expect([saved.body.detail, status, body.detail]).toEqual([undefined, 201, undefined]);
  return body;
}

const storm = {
  ...newAnnouncement(sheetId.create('storm'), 'Storm'),
  words: 'The yard is closed because of the storm.',
  afterPath: [{ type: 'hangUp', words: '' } as const],
};

beforeEach(async () => {
  server = await testServer();
  line = (await server.ask('post', '/api/start', { ...boatyardFacts, emergencyAddress: '1 Cannery Road' })).body;
  first = await air((attendant) => ({ ...attendant, sheets: [...attendant.sheets, storm] }));
  second = await air((attendant) => ({ ...attendant, sheets: attendant.sheets.slice(0, -1) }));
});
afterEach(() => server.stop());

const toStorm = (hours: number) =>
  ask('put', '/switch', {
    to: { type: 'sheet', sheetId: storm.id },
    untilMs: server.clock.now() + hours * 3_600_000,
    words: '',
    by: 'Effie',
    replaces: null,
  });

describe('putting an earlier version back', () => {
  it('needs a yes to what its proof finds, and tells it beforehand', async () => {
    const standing = await ask('get', `/versions/${first.id}/standing`);
    expect(rulesOf(standing)).toEqual([]);
    // The yes that was given when it went on air is taken back.
    const accepted: { key: string }[] = (await ask('get', '/proof/accepted')).body;
    const unreached = accepted.find(({ key }) => key.startsWith('unreached'))?.key ?? '';
    await ask('delete', `/proof/accepted?key=${encodeURIComponent(unreached)}`);
    expect(rulesOf(await ask('get', `/versions/${first.id}/standing`))).toEqual(['unreached']);
    const refused = await putBack(first.id);
    expect([refused.status, refused.body.type, await onAirNumber()]).toEqual([422, '/problems/cautions', 2]);
    const yes = [{ key: unreached, reason: 'For storms, by the switch.' }];
    expect((await putBack(first.id, { yes })).status).toBe(200);
    expect(await onAirNumber()).toBe(1);
    const [one] = (await ask('get', '/versions')).body.filter(({ id }: { id: string }) => id === first.id);
    expect(one.airings[0]).toMatchObject({ how: 'putBack', by: 'Tamsin', note: 'After all' });
  });

  it('runs the rehearsals: one that does not hold on it needs a yes', async () => {
    const scene = { reading: '2026-11-23T10:00', callerNumber: '+12075550178', acts: [], staff: [], others: 'answers' };
    const { body: juno } = await server.ask('post', '/api/people', { name: 'Juno Kettering', extension: '299' });
    const expects = [{ type: 'reaches', who: juno.id }];
    const added = await ask('post', '/rehearsals', { rehearsals: [{ name: 'To Juno', scene, expects }] });
    expect([added.status, added.body.detail]).toEqual([201, undefined]);
    const { body } = await ask('get', `/versions/${first.id}/standing`);
    expect([body.rehearsals, body.broken.map(({ rehearsal }: { rehearsal: object }) => rehearsal)]).toMatchObject([
      1,
      [{ name: 'To Juno' }],
    ]);
    const refused = await putBack(first.id);
    expect([refused.status, rulesOf(refused)]).toEqual([422, ['rehearsal']]);
    const yes = [{ key: body.broken[0].key, reason: 'It is older.' }];
    expect((await putBack(first.id, { yes })).status).toBe(200);
  });

  it('tells whoever looked at another version on air, and of one that is on air already', async () => {
    const late = await putBack(first.id, { replaces: first.id });
    expect([late.status, await onAirNumber()]).toEqual([409, 2]);
    expect((await putBack(second.id)).status).toBe(409);
  });

  it('can be planned, and goes on air at its time', async () => {
    const at = server.clock.now() + 90_000;
    const { status, body } = await ask('put', `/versions/${first.id}/planned`, { at, by: 'Odile' });
    expect([status, body.planned]).toMatchObject([200, { versionId: first.id, by: 'Odile', problem: null }]);
    for (let second = 0; second < 100 && (await onAirNumber()) !== 1; second += 1) await server.clock.pass(1000);
    expect(await onAirNumber()).toBe(1);
    const [one] = (await ask('get', '/versions')).body.filter(({ id }: { id: string }) => id === first.id);
    expect(one.airings[0]).toMatchObject({ how: 'putBackPlanned', by: 'Odile' });
    expect((await ask('get', '/planned')).body.planned).toBeNull();
  });

  it('has a checklist made anew, of which nothing is ticked', async () => {
    const path = `/versions/${first.id}/first-calls`;
    const [item] = (await ask('get', path)).body;
    await ask('put', `${path}/ticks`, { itemId: item.id, state: 'right', note: '', by: 'Effie' });
    await server.clock.pass(1000);
    expect((await putBack(first.id)).status).toBe(200);
    const items: { tick: object | null }[] = (await ask('get', path)).body;
    expect(items.length).toBeGreaterThan(3);
    expect(items.every(({ tick }) => tick === null)).toBe(true);
  });
});

describe('a switch that leads to a sheet', () => {
  it('keeps a version without that sheet from going on air in silence, until it is over', async () => {
    expect((await putBack(first.id)).status).toBe(200);
    expect((await toStorm(2)).status).toBe(200);
    const refused = await putBack(second.id);
    expect([refused.status, rulesOf(refused)]).toEqual([422, ['switchNowhere']]);
    expect(refused.body.detail).toContain('The switch is on and leads to a sheet that this script does not have.');
    const soon = { at: server.clock.now() + 3_600_000, by: 'Odile' };
    expect((await ask('put', `/versions/${second.id}/planned`, soon)).status).toBe(422);
    const afterwards = { at: server.clock.now() + 3 * 3_600_000, by: 'Odile' };
    expect((await ask('put', `/versions/${second.id}/planned`, afterwards)).status).toBe(200);
  });

  it('is looked at again when what is planned is due: it stays planned, with the reason', async () => {
    expect((await putBack(first.id)).status).toBe(200);
    const at = server.clock.now() + 60_000;
    expect((await ask('put', `/versions/${second.id}/planned`, { at, by: 'Odile' })).status).toBe(200);
    expect((await toStorm(5)).status).toBe(200);
    for (let waited = 0; waited < 100; waited += 1) {
      if ((await ask('get', '/planned')).body.planned?.problem) break;
      await server.clock.pass(1000);
    }
    expect((await ask('get', '/planned')).body.planned.problem).toContain('The switch is on and leads to a sheet');
    expect(await onAirNumber()).toBe(1);
  });

  it('leads to it: nothing says that nothing does', async () => {
    expect((await putBack(first.id)).status).toBe(200);
    const rules = async () => (await ask('get', '/proof/on-air')).body.map(({ rule }: { rule: string }) => rule);
    expect(await rules()).toContain('unreached');
    await toStorm(2);
    expect(await rules()).not.toContain('unreached');
  });
});

describe('the checklist of what is on air', () => {
  it('is made anew when lines exchange their numbers, and tells the one that callers ring', async () => {
    const path = `/versions/${second.id}/first-calls`;
    const [item] = (await ask('get', path)).body;
    expect(item.does).toContain('+1 207 555 0140');
    await ask('put', `${path}/ticks`, { itemId: item.id, state: 'right', note: '', by: 'Effie' });
    await server.clock.pass(1000);
    const shed = { name: 'Shed', number: '+1 207 555 0155', timeZone: 'America/New_York' };
    const other = (await server.ask('post', '/api/lines', shed)).body;
    await ask('post', '/exchange-numbers', { with: other.id });
    const [anew] = (await ask('get', path)).body;
    expect(anew.does).toContain('+1 207 555 0155');
    expect(anew.tick).toBeNull();
    const [old] = (await ask('get', `/versions/${first.id}/first-calls`)).body;
    expect(old.does).toContain('+1 207 555 0140');
  });
});
