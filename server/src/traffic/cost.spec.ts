import { simpleParser } from 'mailparser';
import request from 'supertest';
import { newCard, one, type Rates } from '@locutor/core/cost';
import { clockReading, showDate, wallTime, weekdayOf, type TimeZone } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import type { CallEntity } from '../callLog/call.entity';
import { CallLog } from '../callLog/callLog.service';
import { callsOf, noor, rungPhone, type CallMaker } from '../testing/loggedCalls';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { BudgetWatch } from './budgetWatch.service';
import { ReportsService } from './reports.service';

const zone = 'Australia/Adelaide' as TimeZone;
let server: TestServer;
let line: LineId;
let callAt: CallMaker;
/** The month it is by the server's clock. */
let month: string;

beforeEach(async () => {
  server = await testServer();
  line = (await server.ask('post', '/api/start', { ...boatyardFacts, timeZone: zone })).body.id;
  callAt = callsOf(line, zone);
  month = clockReading(server.clock.now(), zone).slice(0, 7);
});
afterEach(() => server.stop());

async function keep(...calls: readonly CallEntity[]): Promise<void> {
  const log = server.app.get(CallLog);
  for (const call of calls) log.put(call);
  await log.write();
}

async function setTo(changes: object, status = 200): Promise<string> {
  const { body } = await server.ask('get', '/api/settings');
  const answer = await server.ask('patch', '/api/settings', { revision: body.revision, ...changes });
  expect(answer.status).toBe(status);
  return answer.body.detail;
}

const rates: Rates = {
  currency: 'EUR',
  cards: [{ ...newCard, from: '2020-01-01', rent: 5 * one, perMinuteIn: one, perMinuteOut: 2 * one }],
};
const cost = async (query: string) => (await server.ask('get', `/api/traffic/cost?${query}`)).body.cost;

describe('what calls cost', () => {
  it('is not known until a rate card is typed in', async () => {
    await keep(callAt('a', '2026-03-24T10:00'));
    expect(await cost('from=2026-03-01&to=2026-03-31')).toBeNull();
  });

  it('is charged by how long each call lasted, by the line’s calendar, blocked and colleagues’ calls left out', async () => {
    await setTo({ rates });
    await keep(
      // 78 s, 25 s, 51 s: begun minutes.
      callAt('a', '2026-03-31T23:59'),
      callAt('b', '2026-04-01T00:00', 'gaveUp'),
      callAt('c', '2026-03-24T10:00', 'message'),
      callAt('d', '2026-03-24T10:00', 'answered', { pretended: true }),
      callAt('e', '2026-03-24T10:00', 'answered', { staffCaller: noor }),
    );
    const body = await cost('from=2026-03-24&to=2026-04-01');
    expect(body.months).toMatchObject([
      { month: '2026-03', calls: 2, inSeconds: 180, in: 3 * one, rent: 5 * one, total: 8 * one },
      { month: '2026-04', calls: 1, in: one, total: 6 * one },
    ]);
    expect(body.byLine).toEqual([{ lineId: line, calls: 3, in: 4 * one, out: 0 }]);
    expect(body.dearest[0]).toEqual({ callId: 'call:a', cost: 2 * one });
    // Days of the same months that were not asked for are in the months only.
    expect((await cost('from=2026-03-31&to=2026-03-31')).byLine).toMatchObject([{ calls: 1 }]);
  });

  it('holds what is put through to outside phones', async () => {
    await setTo({ rates });
    const call = callAt('a', '2026-03-24T10:00');
    const phone = { type: 'outside', contactId: null, number: '+12075550161' } as const;
    const outside = call.transcript.map((entry) =>
      'phone' in entry && entry.phone === rungPhone ? { ...entry, phone } : entry,
    );
    await keep({ ...call, transcript: outside as CallEntity['transcript'] });
    // A minute on the outside phone, two begun ones to the line.
    expect((await cost('from=2026-03-24&to=2026-03-24')).months).toMatchObject([
      { in: 2 * one, out: 2 * one, outSeconds: 60 },
    ]);
  });
});

describe('rate cards and budget', () => {
  const card = rates.cards[0]!;

  it.each<[string, object, RegExp]>([
    ['two cards from the same day', { rates: { ...rates, cards: [card, card] } }, /Two rate cards begin on 2020-01-01/],
    ['a day that is none', { rates: { ...rates, cards: [{ ...card, from: '2026-02-30' }] } }, /no day 2026-02-30/],
    ['a price below nothing', { rates: { ...rates, cards: [{ ...card, rent: -1 }] } }, /rent of a number .* 0 to/],
    ['a price that is no number', { rates: { ...rates, cards: [{ ...card, rent: 'free' }] } }, /rent of a number/],
    ['steps of no length', { rates: { ...rates, cards: [{ ...card, stepSeconds: 0 }] } }, /seconds of a step/],
    ['a currency that is none', { rates: { ...rates, currency: 'XYZW' } }, /three letters/],
    ['tax beyond everything', { rates: { ...rates, cards: [{ ...card, taxPercent: 101 }] } }, /tax must be/],
    ['a span of no days', { savedSpans: [{ name: 'Rush' }] }, /Say of “Rush” which days are meant/],
    [
      'a span that ends before it begins',
      { savedSpans: [{ name: 'R', from: '2026-05-02', to: '2026-05-01' }] },
      /before the first/,
    ],
  ])('refuse %s in words, and keep what was there', async (_, changes, says) => {
    await setTo({ rates });
    expect(await setTo(changes, 422)).toMatch(says);
    expect((await server.ask('get', '/api/settings')).body.rates).toEqual(rates);
  });

  it('write one e-mail when the month will cost more, and one when it does', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    await server.ask('patch', `/api/people/${person.id}`, { revision: 1, email: 'noor@larkspurcove.example' });
    await setTo({ rates, budget: { amount: 6 * one, tell: [person.id] } });
    const watch = server.app.get(BudgetWatch);
    const mails = async () => (await server.ask('get', '/api/outbox')).body as { id: string; subject: string }[];
    await watch.look();
    expect(await mails()).toEqual([]);
    // Two minutes, and the rent of a number.
    await keep(callAt('a', `${month}-01T00:30`));
    await watch.look();
    await watch.look();
    const written = await mails();
    expect(written).toMatchObject([
      {
        kind: 'email',
        toName: person.name,
        subject: expect.stringMatching(/^Calls of .* are over the budget of €6\.00$/),
      },
    ]);
    const eml = await request(server.app.getHttpServer())
      .get(`/api/outbox/${written[0]!.id}/eml`)
      .set('Host', '127.0.0.1')
      .buffer(true);
    expect((await simpleParser(eml.text ?? eml.body)).text).toMatch(
      /has cost €7\.00 so far, €5\.00 of it for the numbers/,
    );
  });
});

describe('reports', () => {
  const monday = async () => {
    // Past six on a Monday morning, by the line's clock.
    const { minute, day } = wallTime(zone, server.clock.now());
    const days = 8 - weekdayOf(day);
    server.clock.jump((days * 1440 + 7 * 60 - minute) * 60_000);
    return wallTime(zone, server.clock.now()).day;
  };

  it('are shown as they would be mailed, with their picture, and refuse what is none', async () => {
    const { status, body } = await server.ask('get', '/api/traffic/report?every=week');
    expect(status).toBe(200);
    expect(body.subject).toMatch(/^Calls of all lines: /);
    expect(body.text).toContain('Nobody called.');
    const picture = /src="data:image\/png;base64,([^"]+)"/.exec(body.html)?.[1] ?? '';
    expect(Buffer.from(picture, 'base64').subarray(1, 4).toString()).toBe('PNG');
    expect((await server.ask('get', '/api/traffic/report?every=day')).status).toBe(422);
    expect((await server.ask('get', '/api/traffic/report?every=month&lineId=line:gone')).status).toBe(404);
  });

  it('are mailed once, on the Monday after, to whom Settings say', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    await server.ask('patch', `/api/people/${person.id}`, { revision: 1, email: 'noor@larkspurcove.example' });
    await setTo({ rates, report: { every: 'week', lineId: line, tell: [person.id] } });
    const day = await monday();
    await keep(callAt('a', `${showDate(day - 2)}T10:00`), callAt('b', `${showDate(day)}T10:00`));
    const reports = server.app.get(ReportsService);
    await reports.look();
    await reports.look();
    const mails = (await server.ask('get', '/api/outbox')).body as { id: string; subject: string }[];
    expect(mails.map(({ subject }) => subject)).toEqual([expect.stringMatching(/^Calls of Larkspur Cove Boatyard: /)]);
    const eml = await request(server.app.getHttpServer())
      .get(`/api/outbox/${mails[0]!.id}/eml`)
      .set('Host', '127.0.0.1')
      .buffer(true);
    const parsed = await simpleParser(eml.text ?? eml.body, { keepCidLinks: true });
    expect(parsed.text).toMatch(/One call: too few to tell/);
    expect(parsed.html).toContain('cid:days');
    expect(parsed.attachments).toMatchObject([{ cid: 'days', contentType: 'image/png' }]);
    // A week later comes the next.
    server.clock.jump(7 * 86_400_000);
    await reports.look();
    expect((await server.ask('get', '/api/outbox')).body).toHaveLength(2);
  });
});
