import { type CallScript } from '@locutor/core/call';
import { runTrial } from '@locutor/core/exchange';
import { messageDefaults, newMenu, ringDefaults, schemaVersion, sheetId, type Attendant } from '@locutor/core/line';
import { boatyardFacts, testServer, type TestServer } from './testing/testServer';
import { airDraft } from './testing/airDraft';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

/** Two hundred menus, one under the other, each with somebody to ring. */
function deep(personId: never, boxId: never): Attendant {
  const id = (index: number) => sheetId.create(`m${index}`);
  const message = [{ type: 'takeMessage' as const, boxId, ...messageDefaults }];
  const sheets = Array.from({ length: 200 }, (_, index) => ({
    ...newMenu(id(index), `Menu ${index}`),
    openingWords: `Menu ${index}.`,
    options: [
      {
        key: '1' as const,
        label: 'on',
        readOut: true,
        path: [{ type: 'goTo' as const, sheetId: id((index + 1) % 200) }],
      },
      {
        key: '2' as const,
        label: 'help',
        readOut: true,
        path: [{ type: 'ring' as const, personId, ...ringDefaults }, ...message],
      },
      { key: '9' as const, label: 'back', readOut: true, path: [{ type: 'back' as const }] },
    ],
    silencePath: message,
    wrongKeyPath: message,
  }));
  const otherwise = [{ type: 'goTo' as const, sheetId: id(0) }];
  return { schemaVersion, voice: 'slt', sheets, paths: [], fallbacks: [], answering: { rules: [], otherwise } };
}

/** Some eight hundred sentences are spoken before it is on air. */
const speakingMs = 180_000;

describe('an attendant of two hundred menus', () => {
  it(
    'is kept, goes on air, and is called by the hundred just as core calls it',
    async () => {
      const { body: line } = await server.ask('post', '/api/start', boatyardFacts);
      const [{ body: people }, { body: boxes }] = [
        await server.ask('get', '/api/people'),
        await server.ask('get', '/api/boxes'),
      ];
      const attendant = deep(people[0].id as never, boxes[0].id as never);
      const saved = await server.ask('put', `/api/lines/${line.id}/draft`, { revision: 1, attendant });
      expect(saved).toMatchObject({ status: 200, body: { revision: 2 } });
      expect(await airDraft(server, line.id, 2)).toMatchObject({
        status: 201,
      });
      const trials = Array.from({ length: 150 }, (_, index) => ({
        atMs: 1795446000000 + index * 1000,
        callerNumber: 'anonymous',
        // So many menus down, a few back up, then help.
        caller: [...'1'.repeat(index), ...'9'.repeat(index % 7), '2'].map((key, turn) => ({
          type: 'press',
          key,
          afterMs: 500 * (turn + 1),
        })),
        staff: { type: 'noAnswer' },
      }));
      const { body } = await server.ask('post', `/api/lines/${line.id}/trials`, { of: 'onAir', trials });
      const { body: script } = await server.ask('get', `/api/lines/${line.id}/script?of=onAir`);
      body.forEach((answer: { transcript: unknown; ended: boolean }, index: number) => {
        const { atMs, callerNumber, caller } = trials[index] ?? { atMs: 0, callerNumber: '', caller: [] };
        const own = runTrial(script as CallScript, {
          atMs,
          callerNumber,
          caller: caller as never,
          staff: () => ({ type: 'noAnswer' }),
        });
        expect(answer.ended).toBe(true);
        expect(answer.transcript).toEqual(JSON.parse(JSON.stringify(own.transcript)));
      });
      const rang = body.filter(({ transcript }: { transcript: { type: string }[] }) =>
        transcript.some(({ type }) => type === 'ringing'),
      );
      expect(rang).toHaveLength(150);
    },
    speakingMs,
  );

  it('is found faults in all at once when it has some, and stays off the air', async () => {
    const [line] = (await server.ask('get', '/api/lines')).body;
    const { body: draft } = await server.ask('get', `/api/lines/${line.id}/draft`);
    const sheets = draft.attendant.sheets.map((sheet: object) => ({ ...sheet, silencePath: [] }));
    const attendant = { ...draft.attendant, sheets };
    const path = `/api/lines/${line.id}`;
    await server.ask('put', `${path}/draft`, { revision: draft.revision, attendant });
    const refused = await server.ask('post', `${path}/versions`, { draftRevision: draft.revision + 1 });
    expect(refused.status).toBe(422);
    expect(refused.body.errors).toHaveLength(200);
  });
});
