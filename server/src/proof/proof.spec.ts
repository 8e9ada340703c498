import { applyEdit, type Attendant, type Edit } from '@locutor/core/line';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let line: string;
let people: { id: string; name: string; revision: number }[];
let box: { id: string; revision: number };

beforeAll(async () => {
  server = await testServer();
  const { body } = await server.ask('post', '/api/start', { ...boatyardFacts, emergencyAddress: '1 Cannery Road' });
  line = `/api/lines/${body.id}`;
  people = (await server.ask('get', '/api/people')).body;
  [box] = (await server.ask('get', '/api/boxes')).body;
  const { body: hours } = await server.ask('get', `/api/hours/${body.hoursId}`);
  const special = [
    {
      id: 'special:next',
      name: 'Stock taking',
      when: { type: 'yearly', month: ((new Date().getUTCMonth() + 1) % 12) + 1, day: 5, days: 1 },
      moved: 'stays',
      hours: { type: 'closed', startMin: 0, endMin: 1440 },
      words: '',
    },
  ];
  const { periods, week, revision } = hours;
  await server.ask('put', `/api/hours/${body.hoursId}`, { periods, week, special, revision });
});
afterAll(() => server.stop());

interface Told {
  readonly rule: string;
  readonly grade: string;
  readonly key: string;
  readonly at: object;
  readonly says: string;
  readonly why: string;
  readonly advice: string;
  readonly fix?: Edit;
}

const draft = async (): Promise<{ revision: number; attendant: Attendant }> =>
  (await server.ask('get', `${line}/draft`)).body;
const proof = async (): Promise<readonly Told[]> => (await server.ask('get', `${line}/proof`)).body;

/** Loads a draft that was changed, gives what is found that was not found before, and puts the sound one back. */
async function foundIn(change: (attendant: Attendant) => object): Promise<readonly Told[]> {
  const { revision, attendant } = await draft();
  const before = new Set((await proof()).map(({ key }) => key));
  const { status, body } = await server.ask('put', `${line}/draft`, { revision, attendant: change(attendant) });
  expect([status, body.detail]).toEqual([200, undefined]);
  const found = (await proof()).filter(({ key }) => !before.has(key));
  const mended = found.find(({ fix }) => fix)?.fix;
  if (mended) {
    const flawed = (await draft()).attendant;
    const after = await server.ask('put', `${line}/draft`, {
      revision: body.revision,
      attendant: applyEdit(flawed, mended),
    });
    expect(after.status).toBe(200);
    const keys = (await proof()).map(({ key }) => key);
    expect(keys).not.toContain(found.find(({ fix }) => fix)?.key);
  }
  const { revision: last } = await draft();
  await server.ask('put', `${line}/draft`, { revision: last, attendant });
  return found;
}

const welcome = (attendant: Attendant) => attendant.sheets[0] as Extract<Attendant['sheets'][number], { type: 'menu' }>;
const withWelcome = (attendant: Attendant, changes: object): object => ({
  ...attendant,
  sheets: [{ ...welcome(attendant), ...changes }, ...attendant.sheets.slice(1)],
});
const withPath = (attendant: Attendant, path: object[]): object => {
  const [first, ...options] = welcome(attendant).options;
  return withWelcome(attendant, { options: [{ ...first, path }, ...options] });
};
const message = () => ({ type: 'takeMessage', boxId: box.id, beep: null, tell: null });
const ring = (more: object) => ({
  type: 'ring',
  personId: people[0]?.id,
  seconds: 24,
  before: '',
  hear: { type: 'ringback' },
  ...more,
});

describe('the proof by the API', () => {
  it('finds no fault and no caution in the first attendant', async () => {
    expect((await proof()).filter(({ grade }) => grade !== 'tip')).toEqual([]);
  });

  it.each<[string, (attendant: Attendant) => object]>([
    ['pathEmpty', (attendant) => withPath(attendant, [])],
    ['pathStops', (attendant) => withPath(attendant, [ring({})])],
    ['toDeleted', (attendant) => withPath(attendant, [ring({ personId: 'person:gone' }), message()])],
    ['noFallback', (attendant) => withWelcome(attendant, { silencePath: [] })],
    ['circle', (attendant) => withWelcome(attendant, { silencePath: [{ type: 'sayAgain' }] })],
    ['repeatsForEver', (attendant) => withWelcome(attendant, { wrongKeyPath: [{ type: 'sayAgain' }] })],
    ['ringsForEver', (attendant) => withPath(attendant, [ring({ seconds: null })])],
    ['recordsUntold', (attendant) => withPath(attendant, [{ type: 'record', on: true, tells: false }, message()])],
    ['keySaidNotMapped', (attendant) => withWelcome(attendant, { closingWords: 'For sails, press 8.' })],
    [
      'hoursInWords',
      (attendant) => withWelcome(attendant, { closingWords: 'We are open Monday to Friday, 6 to 9 pm.' }),
    ],
    [
      'businessInWords',
      (attendant) => withWelcome(attendant, { openingWords: 'Thank you for calling Harbor Marine.' }),
    ],
    ['extensionInWords', (attendant) => withWelcome(attendant, { closingWords: 'Or dial extension 999.' })],
    [
      'keyIsFirstDigit',
      (attendant) => {
        const [first, ...options] = welcome(attendant).options;
        return withWelcome(attendant, {
          extensions: { waitSeconds: 3 },
          options: [{ ...first, key: '2' }, ...options.filter(({ key }) => key !== '2')],
        });
      },
    ],
  ])('finds %s at its place, says why it matters and what to do', async (rule, change) => {
    const found = await foundIn(change);
    const own = found.find((each) => each.rule === rule);
    expect(found.map((each) => each.rule)).toContain(rule);
    expect(JSON.stringify(own?.at)).toContain(welcome((await draft()).attendant).id);
    for (const words of [own?.says, own?.why, own?.advice]) expect(words).toMatch(/^\S.*\.$/);
  });

  it('finds what is wrong in the directory beside the script', async () => {
    const noor = people.find(({ name }) => name === 'Noor Haldane');
    const { body: told } = await server.ask('patch', `/api/boxes/${box.id}`, {
      revision: box.revision,
      ownerId: null,
      tell: [],
    });
    expect((await proof()).find(({ rule }) => rule === 'boxUnheard')).toMatchObject({
      at: { type: 'row', id: box.id },
    });
    await server.ask('patch', `/api/boxes/${box.id}`, {
      revision: told.revision,
      tell: [{ personId: noor?.id, by: 'text' }],
    });
    const nowhere = (await proof()).find(({ rule }) => rule === 'tellNowhere');
    expect(nowhere?.says).toBe('Office tells Noor Haldane of messages by text, but there is no mobile for that.');
    await server.ask('patch', `/api/boxes/${box.id}`, { revision: told.revision + 1, ownerId: noor?.id, tell: [] });
  });

  it('reads what the switch says, as long as it is on', async () => {
    const on = { to: { type: 'closed' }, untilMs: server.clock.now() + 3_600_000, by: 'Noor', replaces: null };
    const words = 'Closed because of the storm. For a recording of the tides, press 8.';
    expect((await server.ask('put', `${line}/switch`, { ...on, words })).status).toBe(200);
    const found = (await proof()).find(({ says }) => says.startsWith('The switch'));
    expect([found?.rule, found?.says]).toEqual([
      'keySaidNotMapped',
      'The switch says “For a recording of the tides, press 8”, but key 8 does nothing there.',
    ]);
    expect((await server.ask('post', `${line}/switch/end`, { by: 'Noor' })).status).toBe(200);
    expect((await proof()).some(({ says }) => says.startsWith('The switch'))).toBe(false);
  });

  it('knows who has left, and that the line is out of service', async () => {
    const { body: ada } = await server.ask('post', '/api/people', { name: 'Ada Marlow', extension: '299' });
    await server.ask('delete', `/api/people/${ada.id}`);
    expect((await server.ask('get', '/api/leavers')).body).toEqual(['Ada Marlow']);
    const found = await foundIn((attendant) => withWelcome(attendant, { closingWords: 'Ada Marlow will help you.' }));
    expect(found.map(({ rule }) => rule)).toEqual(['nameInWords']);
    const { body: kept } = await server.ask('get', line);
    await server.ask('patch', line, { revision: kept.revision, serviceUntil: '2020-01-01' });
    expect((await proof()).map(({ rule }) => rule)).toContain('lineOutOfService');
    await server.ask('patch', line, { revision: kept.revision + 1, serviceUntil: null });
  });
});
