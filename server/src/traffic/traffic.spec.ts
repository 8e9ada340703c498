import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { TranscriptEntry } from '@locutor/core/call';
import { instantOf, readDate, showDate, wallTime, weekdayOf } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import type { WhenSums } from '@locutor/core/traffic';
import type { CallEntity } from '../callLog/call.entity';
import { CallCounting } from '../callLog/callCounting.service';
import { CallLog } from '../callLog/callLog.service';
import { CallsService } from '../callLog/calls.service';
import { callsOf, noor, type CallMaker } from '../testing/loggedCalls';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

/** Half an hour off, and with a summer of its own. */
const zone = 'Australia/Adelaide';
let server: TestServer;
let line: LineId;
let callAt: CallMaker;

beforeEach(async () => {
  server = await testServer();
  line = (await server.ask('post', '/api/start', { ...boatyardFacts, timeZone: zone })).body.id;
  callAt = callsOf(line, zone);
});
afterEach(() => server.stop());

async function keep(...calls: readonly CallEntity[]): Promise<void> {
  const log = server.app.get(CallLog);
  for (const call of calls) log.put(call);
  await log.write();
}

async function when(from: string, to: string, more = ''): Promise<WhenSums> {
  const { status, body } = await server.ask('get', `/api/traffic/when?from=${from}&to=${to}${more}`);
  expect([status, body.detail]).toEqual([200, undefined]);
  return body;
}
const days = ({ byDay }: WhenSums) => byDay.map(({ day, outcome, calls }) => [day, outcome, calls]);

describe('when people called', () => {
  it('is counted by the line’s own clock: over midnight, and in the hour that comes twice', async () => {
    const twice = instantOf('2026-04-05T02:30', zone);
    await keep(
      callAt('late', '2026-11-23T23:59'),
      callAt('early', '2026-11-24T00:00', 'gaveUp'),
      callAt('noon', '2026-11-24T12:10', 'message'),
      callAt('once', '2026-04-05T02:30'),
      { ...callAt('again', '2026-04-05T02:30'), startedAt: twice + 3_600_000 },
    );
    const sums = await when('2026-11-23', '2026-11-24');
    expect(days(sums)).toEqual([
      [readDate('2026-11-23'), 'answered', 1],
      [readDate('2026-11-24'), 'gaveUpRinging', 1],
      [readDate('2026-11-24'), 'message', 1],
    ]);
    expect(sums.byHour).toEqual([
      { weekday: 1, hour: 23, outcome: 'answered', calls: 1 },
      { weekday: 2, hour: 0, outcome: 'gaveUpRinging', calls: 1 },
      { weekday: 2, hour: 12, outcome: 'message', calls: 1 },
    ]);
    expect(weekdayOf(readDate('2026-11-23')!)).toBe(1);
    expect((await when('2026-04-05', '2026-04-05')).byHour).toEqual([
      { weekday: 7, hour: 2, outcome: 'answered', calls: 2 },
    ]);
    expect(sums.firstDay).toBe(readDate('2026-04-05'));
  });

  it('leaves out calls at a pretended moment, of colleagues, and those that go on', async () => {
    await keep(
      callAt('a', '2026-11-24T10:00'),
      callAt('b', '2026-11-24T10:00', 'answered', { pretended: true }),
      callAt('c', '2026-11-24T10:00', 'answered', { staffCaller: noor }),
      { ...callAt('d', '2026-11-24T10:00'), endedAt: null },
    );
    expect(days(await when('2026-11-01', '2026-11-30'))).toEqual([[readDate('2026-11-24'), 'answered', 1]]);
  });

  it('is of one line, or of all together', async () => {
    await keep(
      callAt('a', '2026-11-24T10:00'),
      callAt('b', '2026-11-24T10:00', 'answered', { lineId: 'line:x' as LineId }),
    );
    const count = (sums: WhenSums) => sums.byDay.reduce((sum, { calls }) => sum + calls, 0);
    expect(count(await when('2026-11-24', '2026-11-24', `&lineId=${line}`))).toBe(1);
    expect(count(await when('2026-11-23', '2026-11-25'))).toBe(2);
  });

  it('counts a call once that is told twice before anybody asks', async () => {
    await keep(callAt('a', '2026-11-24T10:00', 'gaveUp'));
    await keep(callAt('a', '2026-11-24T10:00', 'message'), callAt('b', '2026-11-24T11:00'));
    await keep(callAt('a', '2026-11-24T10:00', 'message'));
    expect(days(await when('2026-11-24', '2026-11-24'))).toEqual([
      [readDate('2026-11-24'), 'answered', 1],
      [readDate('2026-11-24'), 'message', 1],
    ]);
  });

  it('follows what is told of a call afterwards, and forgets calls that are forgotten', async () => {
    await keep(callAt('a', '2026-11-24T10:00', 'gaveUp'), callAt('b', '2025-11-24T10:00'));
    expect(days(await when('2026-11-24', '2026-11-24'))[0]?.[1]).toBe('gaveUpRinging');
    await keep(callAt('a', '2026-11-24T10:00', 'message'));
    expect(days(await when('2026-11-24', '2026-11-24'))).toEqual([[readDate('2026-11-24'), 'message', 1]]);
    await server.app.get(CallsService).forgetBefore(instantOf('2026-01-01T00:00', zone));
    expect(days(await when('2025-01-01', '2025-12-31'))).toEqual([]);
  });

  it('is counted so that others get to write in between', async () => {
    await keep(...Array.from({ length: 700 }, (_, index) => callAt(`many${index}`, '2026-11-24T10:00')));
    const other = new Database(join(server.dataDir, 'locutor.sqlite'), { timeout: 0 });
    const uncounted = other.prepare('SELECT count(*) FROM call_uncounted').pluck();
    let isOver = false;
    const counting = server.app
      .get(CallCounting)
      .count(false)
      .finally(() => (isOver = true));
    let between = 0;
    while (!isOver) {
      await new Promise((resolve) => setImmediate(resolve));
      try {
        other.exec('BEGIN IMMEDIATE');
      } catch {
        continue;
      }
      const left = uncounted.get() as number;
      other.exec('ROLLBACK');
      between += Number(left > 0 && left < 700);
    }
    other.close();
    await counting;
    expect(between).toBeGreaterThan(5);
  });

  it('is counted anew when that is asked for, as after the line’s time zone was changed', async () => {
    await keep(callAt('a', '2026-11-24T00:10'));
    await when('2026-11-24', '2026-11-24');
    const [{ revision }] = (await server.ask('get', '/api/lines')).body;
    await server.ask('patch', `/api/lines/${line}`, { revision, timeZone: 'America/New_York' });
    expect(days(await when('2026-11-23', '2026-11-23'))).toEqual([]);
    expect((await server.ask('post', '/api/traffic/recount')).status).toBe(204);
    expect(days(await when('2026-11-23', '2026-11-23'))).toEqual([[readDate('2026-11-23'), 'answered', 1]]);
  });

  it.each([
    ['from=2026-02-30&to=2026-03-01', 'There is no day 2026-02-30.'],
    ['from=2026-03-02&to=2026-03-01', 'The last day is before the first.'],
    ['from=1900-01-01&to=2026-03-01', 'No more than 20 years'],
    ['from=yesterday&to=2026-03-01', 'The first day is written as in 2026-11-24.'],
  ])('refuses %s in words', async (query, says) => {
    const { status, body } = await server.ask('get', `/api/traffic/when?${query}`);
    expect([status, body.detail]).toEqual([422, expect.stringContaining(says)]);
  });

  it('is nothing of an empty log, and of days to come', async () => {
    expect(await when('2026-11-01', '2026-11-30')).toEqual({ byHour: [], byDay: [], firstDay: null });
    await keep(callAt('a', '2026-11-24T10:00'));
    expect((await when('2031-01-01', '2031-12-31')).byHour).toEqual([]);
  });
});

describe('how long until somebody answered', () => {
  it('is counted from when the line picked up, in the span, and told by who answered', async () => {
    await keep(
      callAt('a', '2026-11-24T10:00'),
      callAt('b', '2026-11-24T11:00', 'gaveUp'),
      callAt('c', '2026-11-24T11:30', 'message'),
      callAt('d', '2026-11-20T10:00'),
    );
    const { status, body } = await server.ask('get', '/api/traffic/answered?from=2026-11-23&to=2026-11-24&within=18');
    expect(status).toBe(200);
    expect(body).toMatchObject({
      calls: 3,
      reached: 1,
      lost: 1,
      messages: 1,
      medianMs: 18_000,
      within: 1,
      withinS: 18,
    });
    expect(body.longest).toEqual([{ callId: 'call:a', toPersonMs: 18_000 }]);
    const refused = await server.ask('get', '/api/traffic/answered?from=2026-11-23&to=2026-11-24&within=0');
    expect([refused.status, refused.body.detail]).toEqual([
      422,
      expect.stringContaining('How many seconds callers may wait'),
    ]);
  });
});

describe('what callers press', () => {
  it('is counted sheet by sheet, in the second of the words in which they did', async () => {
    const sheet = { type: 'sheet', sheetId: 'sheet:welcome' } as const;
    const said = {
      type: 'said',
      text: 'Hello.',
      source: { type: 'words', sheetId: 'sheet:welcome', part: 'openingWords' },
    } as const;
    const pressing = (name: string, key: '1' | '2', seconds: number): CallEntity => {
      const call = callAt(name, '2026-11-24T10:00');
      const at = (after: number) => call.startedAt + after * 1000;
      const [called, ...rest] = call.transcript;
      const inMenu = [
        { ...sheet, atMs: at(0) },
        { ...said, atMs: at(1) },
        { type: 'key', key, use: 'option', atMs: at(1 + seconds) },
      ] as TranscriptEntry[];
      return { ...call, transcript: [called!, ...inMenu, ...rest] };
    };
    await keep(pressing('a', '1', 4), pressing('b', '1', 4.9), pressing('c', '2', 8));
    const { status, body } = await server.ask('get', '/api/traffic/pressed?from=2026-11-24&to=2026-11-24');
    expect(status).toBe(200);
    expect(body).toHaveLength(1);
    expect(body[0]).toMatchObject({
      sheetId: 'sheet:welcome',
      visits: 3,
      choices: [
        { choice: '1', visits: 2, medianS: 4 },
        { choice: '2', visits: 1, medianS: 8 },
      ],
    });
    expect(body[0].seconds[4]).toEqual({ chose: 2, hungUp: 0 });
  });
});

describe('who answers', () => {
  it('is counted by who was rung, in the span, and how that ended', async () => {
    await keep(
      callAt('a', '2026-11-24T10:00'),
      callAt('b', '2026-11-24T11:00', 'gaveUp'),
      callAt('c', '2026-11-24T11:30', 'message'),
      callAt('d', '2026-11-20T10:00'),
    );
    const { status, body } = await server.ask('get', '/api/traffic/work?from=2026-11-24&to=2026-11-24');
    expect(status).toBe(200);
    expect(body).toEqual([
      { who: noor, end: 'answered', rings: 1, talkMs: 60_000, holdMs: 0 },
      { who: noor, end: 'letRing', rings: 1, talkMs: 0, holdMs: 0 },
      { who: noor, end: 'stopped', rings: 1, talkMs: 0, holdMs: 0 },
    ]);
  });
});

describe('the calls behind a figure', () => {
  const found = async (query: string): Promise<string[]> => {
    const { status, body } = await server.ask('get', `/api/calls?${query}`);
    expect([status, body.detail]).toEqual([200, undefined]);
    return body.calls.map(({ id }: { id: string }) => id.replace('call:', '')).sort();
  };
  const inMenu = (call: CallEntity, key: '1' | '2'): CallEntity => {
    const [called, ...rest] = call.transcript;
    const menu = [
      { type: 'sheet', sheetId: 'sheet:welcome', atMs: call.startedAt },
      { type: 'key', key, use: 'option', atMs: call.startedAt + 5000 },
    ] as unknown as TranscriptEntry[];
    return { ...call, transcript: [called!, ...menu, ...rest] };
  };

  it('are found by who was rung and how that ended, by the key, by how soon, and by what became of them', async () => {
    await keep(
      inMenu(callAt('a', '2026-11-24T10:00'), '1'),
      inMenu(callAt('b', '2026-11-24T11:00', 'gaveUp'), '2'),
      callAt('c', '2026-11-24T11:30', 'message'),
      callAt('d', '2026-11-24T12:00', 'answered', { pretended: true }),
    );
    expect(await found(`who=${noor}`)).toEqual(['a', 'b', 'c']);
    expect(await found(`who=${noor}&ringEnd=letRing`)).toEqual(['c']);
    expect(await found('sheetId=sheet:welcome')).toEqual(['a', 'b']);
    expect(await found('sheetId=sheet:welcome&choice=1')).toEqual(['a']);
    expect(await found('sheetId=sheet:welcome&choice=2&first=yes')).toEqual(['b']);
    expect(await found('afterS=17&untilS=18')).toEqual(['a']);
    expect(await found('untilS=17')).toEqual([]);
    expect(await found('fate=lost')).toEqual(['b']);
    expect(await found('fate=message&from=2026-11-24&to=2026-11-24')).toEqual(['c']);
    expect(await found('through=group:none')).toEqual([]);
    expect(await found('boxId=box:none')).toEqual([]);
  });

  it('are found by the name of whom they reached, as it is now', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    await keep(callAt('a', '2026-11-24T10:00', 'answered', { answeredBy: person.id }), callAt('b', '2026-11-24T10:00'));
    expect(await found(`search=${encodeURIComponent(person.name.slice(0, 5).toLowerCase())}`)).toEqual(['a']);
  });

  it.each([
    ...['who=person:a_B-9', 'who=contact:_', 'who=%2B12075550100', 'through=group:__-', 'through=queue:q_1'],
    ...['sheetId=sheet:_-', 'boxId=box:_b'],
  ])('are asked for by whatever an id may be: %s', async (query) =>
    expect((await server.ask('get', `/api/calls?${query}`)).status).toBe(200),
  );

  it.each(['who=anybody', 'ringEnd=sang', 'choice=%27', 'fate=won', 'sheetId=1', 'afterS=-1', 'first=no'])(
    'refuse %s in words',
    async (query) => expect((await server.ask('get', `/api/calls?${query}`)).status).toBe(422),
  );
});

describe('what Today tells of traffic', () => {
  const ask = async (query: string) => {
    const { status, body } = await server.ask('get', `/api/traffic/today?${query}`);
    expect(status).toBe(200);
    return body;
  };

  it('is the day so far by the line’s clock, such days before it, and the weeks that are over', async () => {
    const { day, minute } = wallTime(zone, server.clock.now());
    const at = (days: number, time: string) => `${showDate(day - days)}T${time}`;
    const hour = String(Math.floor(minute / 60)).padStart(2, '0');
    await keep(
      callAt('today', at(0, '00:01')),
      callAt('later', at(7, '23:59')),
      callAt('sooner', at(7, '00:00'), 'gaveUp'),
      callAt('other', at(6, '00:01')),
      callAt('old', at(40, `${hour}:00`)),
    );
    const { days, firstDay, recent } = await ask(`lineId=${line}`);
    expect(firstDay).toBe(day - 40);
    const rows = days.map((each: { day: number; hour: number; calls: number; byNow: number }) => [
      ...[day - each.day, each.hour, each.calls, each.byNow],
    ]);
    expect(rows).toEqual([
      [7, 0, 1, 1],
      [7, 23, 1, 0],
      [0, 0, 1, 1],
    ]);
    expect(recent.span).toEqual({ from: day - 28, to: day - 1 });
    expect(recent.recent.byDay.map((each: { day: number }) => day - each.day)).toEqual([7, 7, 6]);
    expect(recent.before.byDay.map((each: { day: number }) => day - each.day)).toEqual([40]);
    expect((await server.ask('get', '/api/traffic/today?lineId=no')).status).toBe(422);
    expect((await server.ask('get', '/api/traffic/today?lineId=line:gone')).status).toBe(404);
  });

  it('has keys that nobody pressed only once something was on air for weeks', async () => {
    const unpressed = async () => (await server.ask('get', `/api/traffic/unpressed?lineId=${line}`)).body;
    expect(await unpressed()).toEqual({ days: 0, keys: [] });
    expect((await server.ask('get', '/api/traffic/uncounted')).body).toEqual({ left: 0 });
  });
});
