import { peopleNamed } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let noor: string;
let lineHours: string;

beforeAll(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  [noor] = await peopleNamed(server, 'Noor');
  const { body: lines } = await server.ask('get', '/api/lines');
  lineHours = lines[0].hoursId;
});
afterAll(() => server.stop());

const put = (week: object) => server.ask('put', `/api/people/${noor}/own-hours`, { week });
const person = async () => {
  const { body } = await server.ask('get', '/api/people');
  return (body as { id: string; revision: number; hoursId: string | null }[]).find(({ id }) => id === noor);
};
const allow = async (changes: object) =>
  server.ask('patch', `/api/people/${noor}`, { revision: (await person())?.revision, ...changes });
const mornings = [1, 2, 3].map((day) => ({ day, startMin: 480, endMin: 720 }));

describe('own working hours', () => {
  it('are set by nobody whom the manager does not let', async () => {
    await allow({ hoursId: lineHours });
    const { status, body } = await put(mornings);
    expect([status, body.detail]).toEqual([403, expect.stringContaining('does not set their own hours')]);
  });

  it('change a copy where others keep the same hours, and then that', async () => {
    await allow({ setsOwnHours: true });
    const { body: before } = await server.ask('get', '/api/hours');
    const { status, body: own } = await put(mornings);
    expect(status).toBe(200);
    expect(own).toMatchObject({ name: expect.stringContaining('Hours of Noor') });
    expect((await person())?.hoursId).toBe(own.id);
    const { body: after } = await server.ask('get', '/api/hours');
    expect(after).toHaveLength((before as unknown[]).length + 1);
    const weekOf = (all: { id: string; week: object[] }[], id: string) => all.find((each) => each.id === id)?.week;
    expect(weekOf(after, lineHours)).toEqual(weekOf(before, lineHours));
    expect(weekOf(after, own.id)?.length).toBe(3);
    const { body: again } = await put(mornings.slice(0, 1));
    expect([again.id, again.week.length]).toEqual([own.id, 1]);
  });

  it.each([[[{ day: 9, startMin: 480, endMin: 720 }]], [[{ day: 1, startMin: 720, endMin: 480 }]], [null]])(
    'refuse %j',
    async (week) => {
      expect((await put(week as never)).status).toBe(422);
    },
  );
});
