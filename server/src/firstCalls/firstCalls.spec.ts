import { airDraft } from '../testing/airDraft';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let lineId: string;
let checklist: string;
beforeAll(async () => {
  server = await testServer();
  const { body } = await server.ask('post', '/api/start', { ...boatyardFacts, emergencyAddress: '1 Cannery Road' });
  lineId = body.id;
  const { body: version } = await airDraft(server, lineId, 1);
  checklist = `/api/lines/${lineId}/versions/${version.id}/first-calls`;
});
afterAll(() => server.stop());

interface Item {
  readonly id: string;
  readonly does: string;
  readonly hears: string;
  readonly tick: { readonly state: string; readonly note: string } | null;
}
const items = async (): Promise<readonly Item[]> => (await server.ask('get', checklist)).body;
const tick = (changes: object) =>
  server.ask('put', `${checklist}/ticks`, { state: 'right', note: '', by: 'Effie', ...changes });

describe('the checklist of a version on air', () => {
  it('begins with ringing the number, and nothing of it is ticked', async () => {
    const [first, ...others] = await items();
    expect(first?.does).toContain('+1 207 555 0140');
    expect(first?.hears).toContain('Thank you for calling Larkspur Cove Boatyard');
    expect([first, ...others].every((item) => item?.tick === null)).toBe(true);
  });

  it('keeps the last tick of each line, whoever made it', async () => {
    const [first, second] = await items();
    await tick({ itemId: first?.id, state: 'wrong', note: 'It said good night' });
    await tick({ itemId: first?.id, state: 'right', by: 'Odile' });
    await tick({ itemId: second?.id, state: 'wrong', note: 'Rang nowhere' });
    const [one, two, ...others] = await items();
    expect(one?.tick).toMatchObject({ state: 'right', note: '', by: 'Odile' });
    expect(two?.tick).toMatchObject({ state: 'wrong', note: 'Rang nowhere', by: 'Effie' });
    expect(others.every((item) => item.tick === null)).toBe(true);
  });

  it.each([
    ['no such state', { state: 'perhaps' }],
    ['nobody who did it', { by: '' }],
    ['a note too long', { note: 'x'.repeat(301) }],
  ])('refuses a tick with %s', async (_, changes) => {
    const itemId = (await items())[2]?.id;
    const { status } = await tick({ itemId, ...changes });
    expect([400, 422]).toContain(status);
    expect((await items())[2]?.tick).toBeNull();
  });

  it('stays as it was when the draft is edited, and the next version has one of its own', async () => {
    const before = await items();
    const { attendant, revision } = (await server.ask('get', `/api/lines/${lineId}/draft`)).body;
    const [welcome, ...sheets] = attendant.sheets;
    const edited = { ...attendant, sheets: [{ ...welcome, options: welcome.options.slice(0, 1) }, ...sheets] };
    const saved = await server.ask('put', `/api/lines/${lineId}/draft`, { revision, attendant: edited });
    expect(await items()).toEqual(before);
    const { body: next } = await airDraft(server, lineId, saved.body.revision);
    const { body: own } = await server.ask('get', `/api/lines/${lineId}/versions/${next.id}/first-calls`);
    expect(own.length).toBeLessThan(before.length);
    expect(own.every((item: Item) => item.tick === null)).toBe(true);
    expect(await items()).toEqual(before);
  });
});
