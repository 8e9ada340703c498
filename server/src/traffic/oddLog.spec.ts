import { newCard, one, type Rates } from '@locutor/core/cost';
import { instantOf, showDate } from '@locutor/core/hours';
import { sheetId, type LineId } from '@locutor/core/line';
import { chanceFrom } from '@locutor/core/traffic';
import { CallLog } from '../callLog/callLog.service';
import { CallsService } from '../callLog/calls.service';
import { oddLog, type Meant } from '../testing/oddLog';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

/** Three quarters of an hour off; the other with clocks that go forward and back at midnight. */
const zones = ['Pacific/Chatham', 'America/Santiago'] as const;
const seeds = process.env.LOCUTOR_LONG ? Array.from({ length: 20 }, (_, seed) => seed + 1) : [1, 2];

let server: TestServer;
beforeEach(async () => {
  server = await testServer();
});
afterEach(() => server.stop());

const more = sheetId.create('more');
const aside = ['blocked', 'cut', 'boxHeard', 'greetingRecorded'];
const lost = ['missed', 'gaveUpInQueue', 'gaveUpRinging', 'gaveUpInMenu', 'noMessage'];

/** The day and hour by the clock on the wall there, as the platform tells it. */
function wallOf({ zone, startedAt }: Meant): {
  readonly date: string;
  readonly hour: number;
  readonly weekday: string;
} {
  const parts = new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone: zone, hourCycle: 'h23', weekday: 'short' },
    ...{ year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit' },
  }).formatToParts(startedAt);
  const of = (type: string) => parts.find((part) => part.type === type)?.value ?? '';
  return { date: `${of('year')}-${of('month')}-${of('day')}`, hour: Number(of('hour')), weekday: of('weekday') };
}

function tally(all: readonly (string | number)[]): Record<string, number> {
  const counts: Record<string, number> = {};
  for (const each of all) counts[each] = (counts[each] ?? 0) + 1;
  return counts;
}

/** Half of them are no larger. */
const middle = (all: readonly number[]) =>
  [...all].sort((a, b) => a - b)[Math.max(0, Math.ceil(all.length / 2) - 1)] ?? null;

describe('over an odd log, every page of Traffic', () => {
  it.each(seeds)('says what the calls were made up to be, and its calls are found behind it (log %i)', async (seed) => {
    const main = (await server.ask('post', '/api/start', { ...boatyardFacts, timeZone: zones[0] })).body.id as LineId;
    const facts = { name: 'Shed', number: '+1 207 555 0155', timeZone: zones[1] };
    const shed = (await server.ask('post', '/api/lines', facts)).body.id as LineId;
    expect([main, shed]).toEqual([expect.stringMatching(/^line:/), expect.stringMatching(/^line:/)]);
    const lines = [
      { lineId: main, zone: zones[0] },
      { lineId: shed, zone: zones[1] },
    ];
    // Over both changes of the clocks in Chile and on Chatham, and around a New Year.
    const around = (date: string): [number, number] => {
      const at = instantOf(`${date}T12:00`, 'UTC');
      return [at - 30 * 3_600_000, at + 30 * 3_600_000];
    };
    const moments = ['2026-04-05', '2026-09-06', '2026-09-26', '2026-12-31'].map(around);
    const calls = oddLog(lines, moments, 260, chanceFrom(seed));
    const log = server.app.get(CallLog);
    for (const { entity } of calls) log.put(entity);
    await log.write();
    const all = calls.map(({ meant }) => meant);

    const counted = all.filter(({ counts }) => counts);
    for (const [from, to, lineId] of [
      ['2026-04-04', '2026-04-05', main],
      ['2026-09-01', '2026-12-31', shed],
      ['2026-01-01', '2027-12-31', null],
      ['2030-01-01', '2030-12-31', null],
    ] as const) {
      const query = `from=${from}&to=${to}${lineId ? `&lineId=${lineId}` : ''}`;
      const inSpan = counted.filter((call) => {
        const { date } = wallOf(call);
        return date >= from && date <= to && (lineId === null || call.lineId === lineId);
      });
      await checkPages(query, inSpan);
      if (lineId !== main) await checkBehind(query, inSpan);
    }
    await checkCost(all);
  });

  it('forgets what is forgotten, and says the same when all is counted anew', async () => {
    const main = (await server.ask('post', '/api/start', { ...boatyardFacts, timeZone: zones[0] })).body.id as LineId;
    const at = instantOf('2026-09-26T12:00', 'UTC');
    const calls = oddLog([{ lineId: main, zone: zones[0] }], [[at - 2e8, at + 2e8]], 120, chanceFrom(7));
    const log = server.app.get(CallLog);
    for (const { entity } of calls) log.put(entity);
    await log.write();
    const span = 'from=2026-01-01&to=2026-12-31';
    const counted = calls.map(({ meant }) => meant).filter(({ counts }) => counts);
    await checkPages(span, counted);
    await server.app.get(CallsService).forgetBefore(at);
    const left = counted.filter(({ startedAt }) => startedAt >= at);
    expect(left.length).toBeLessThan(counted.length);
    await checkPages(span, left);
    expect((await server.ask('post', '/api/traffic/recount')).status).toBe(204);
    await checkPages(span, left);
    await checkBehind(span, left);
  });
});

async function ask<Body>(path: string): Promise<Body> {
  const { status, body } = await server.ask('get', path);
  expect([path, status, body.detail]).toEqual([path, 200, undefined]);
  return body as Body;
}

async function checkPages(query: string, calls: readonly Meant[]): Promise<void> {
  type Row = Readonly<Record<string, never>>;
  const when = await ask<{ byDay: Row[]; byHour: Row[] }>(`/api/traffic/when?${query}`);
  const told = (rows: readonly Row[], key: (row: Row) => string) =>
    Object.fromEntries(rows.map((row) => [key(row), row['calls']]));
  expect(told(when.byDay, ({ day, outcome }) => `${showDate(day!)} ${outcome}`)).toEqual(
    tally(calls.map((call) => `${wallOf(call).date} ${call.outcome}`)),
  );
  const weekdays = ['', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
  expect(told(when.byHour, ({ weekday, hour, outcome }) => `${weekdays[weekday!]} ${hour} ${outcome}`)).toEqual(
    tally(calls.map((call) => `${wallOf(call).weekday} ${wallOf(call).hour} ${call.outcome}`)),
  );

  const counted = calls.filter(({ outcome }) => !aside.includes(outcome));
  const times = (of: readonly Meant[]) => of.flatMap(({ reachedAfterMs }) => reachedAfterMs ?? []);
  const answered = await ask<Record<string, never>>(`/api/traffic/answered?${query}&within=25`);
  expect(answered).toMatchObject({
    calls: counted.length,
    reached: times(counted).length,
    lost: counted.filter(({ outcome }) => lost.includes(outcome)).length,
    messages: counted.filter(({ outcome }) => outcome === 'message').length,
    medianMs: middle(times(counted)),
    within: times(counted).filter((ms) => ms <= 25_000).length,
  });
  expect((answered['longest']! as { toPersonMs: number }[]).map(({ toPersonMs }) => toPersonMs)).toEqual(
    times(counted)
      .sort((a, b) => b - a)
      .slice(0, 5),
  );
  const byWay = answered['byWay']! as { to: string; reached: number; medianMs: number }[];
  for (const { to, reached, medianMs } of byWay) {
    const of = times(counted.filter(({ way }) => way === to));
    expect([to, reached, medianMs]).toEqual([to, of.length, middle(of)]);
  }
  expect(new Set(byWay.map(({ to }) => to))).toEqual(new Set(counted.flatMap(({ way }) => way ?? [])));

  type Sheet = {
    sheetId: string;
    visits: number;
    choices: { choice: string; visits: number; medianS: number | null }[];
    seconds: { chose: number; hungUp: number }[];
  };
  const pressed = await ask<Sheet[]>(`/api/traffic/pressed?${query}`);
  const visits = calls.flatMap(({ visits: of }) => of);
  expect(Object.fromEntries(pressed.map(({ sheetId, visits: count }) => [sheetId, count]))).toEqual(
    tally(visits.map(({ sheetId }) => sheetId)),
  );
  for (const { sheetId, choices, seconds } of pressed) {
    const of = visits.filter((visit) => visit.sheetId === sheetId);
    for (const { choice, visits: count, medianS } of choices) {
      const chose = of.filter((visit) => visit.choice === choice);
      expect([choice, count, medianS]).toEqual([
        choice,
        chose.length,
        middle(chose.flatMap(({ second }) => second ?? [])),
      ]);
    }
    seconds.forEach(({ chose, hungUp }, second) => {
      const then = of.filter((visit) => visit.second === second);
      expect([chose, hungUp]).toEqual([
        then.filter(({ choice }) => choice !== 'hungUp').length,
        then.filter(({ choice }) => choice === 'hungUp').length,
      ]);
    });
  }

  type Work = { who: string; end: string; rings: number; talkMs: number; holdMs: number };
  const work = await ask<Work[]>(`/api/traffic/work?${query}`);
  const rings = calls.flatMap(({ rings: of }) => of);
  expect(Object.fromEntries(work.map(({ who, end, rings: count }) => [`${who} ${end}`, count]))).toEqual(
    tally(rings.map(({ who, end }) => `${who} ${end}`)),
  );
  const none = { talk: 0, hold: 0 };
  const sum = (all: readonly { talkMs: number; holdMs: number }[]) =>
    all.reduce((total, { talkMs, holdMs }) => ({ talk: total.talk + talkMs, hold: total.hold + holdMs }), none);
  expect(sum(work)).toEqual(sum(rings));
}

async function checkBehind(query: string, calls: readonly Meant[]): Promise<void> {
  const found = async (asked: string) => (await ask<{ inAll: number }>(`/api/calls?${query}&${asked}`)).inAll;
  const counted = calls.filter(({ outcome }) => !aside.includes(outcome));
  const count = (is: (call: Meant) => boolean, of = calls) => of.filter(is).length;
  for (const who of ['person:ada', 'contact:tug', encodeURIComponent('+12075550161')]) {
    const id = decodeURIComponent(who);
    expect([id, await found(`who=${who}`)]).toEqual([id, count(({ rings }) => rings.some((ring) => ring.who === id))]);
    for (const end of ['answered', 'letRing', 'declined', 'stopped']) {
      const is = ({ rings }: Meant) => rings.some((ring) => ring.who === id && ring.end === end);
      expect([id, end, await found(`who=${who}&ringEnd=${end}`)]).toEqual([id, end, count(is)]);
    }
  }
  for (const choice of ['1', 'hungUp']) {
    const is = ({ visits }: Meant) => visits.some((visit) => visit.sheetId === more && visit.choice === choice);
    expect([choice, await found(`sheetId=${more}&choice=${choice}`)]).toEqual([choice, count(is)]);
    const isFirst = ({ visits: [visit] }: Meant) => visit?.sheetId === more && visit.choice === choice;
    expect(await found(`sheetId=${more}&choice=${choice}&first=yes`)).toBe(count(isFirst, counted));
  }
  expect(await found('fate=lost')).toBe(count(({ outcome }) => lost.includes(outcome)));
  expect(await found('outcome=cut')).toBe(count(({ outcome }) => outcome === 'cut'));
  const late = ({ reachedAfterMs: ms }: Meant) => ms !== null && ms > 20_000 && ms <= 60_000;
  expect(await found('afterS=20&untilS=60')).toBe(count(late, counted));
  expect(await found('weekday=6&hour=9')).toBe(
    count((call) => wallOf(call).weekday === 'Sat' && wallOf(call).hour === 9, counted),
  );
}

/** Charged call by call: a minute into the line 10 cents, a begun one counted, outside 30 more. */
async function checkCost(all: readonly Meant[]): Promise<void> {
  const rates: Rates = {
    currency: 'CLP',
    cards: [{ ...newCard, from: '2020-01-01', perMinuteIn: 10 * one, perMinuteOut: 30 * one, stepSeconds: 60 }],
  };
  const { body: settings } = await server.ask('get', '/api/settings');
  const changed = { revision: settings.revision, rates, ...({ budget: null } as object) };
  expect((await server.ask('patch', '/api/settings', changed)).status).toBe(200);
  const { cost } = await ask<{ cost: { months: { month: string; calls: number; in: number; out: number }[] } }>(
    '/api/traffic/cost?from=2026-01-01&to=2026-12-31',
  );
  const minutes = (ms: number) => Math.ceil(ms / 60_000);
  for (const month of ['2026-04', '2026-09', '2026-12']) {
    const of = all.filter((call) => call.counts && call.outcome !== 'blocked' && wallOf(call).date.startsWith(month));
    const outside = of.flatMap((call) => call.outside);
    expect(cost.months.find((each) => each.month === month)).toMatchObject({
      calls: of.length,
      in: of.reduce((sum, { lengthMs }) => sum + 10 * one * minutes(lengthMs), 0),
      out: outside.reduce((sum, { forMs }) => sum + 30 * one * minutes(forMs), 0),
    });
  }
}
