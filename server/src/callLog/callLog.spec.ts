import { utimesSync } from 'node:fs';
import type { CallId } from '@locutor/core/exchange';
import { callId } from '@locutor/core/exchange';
import { lineId, type LineId } from '@locutor/core/line';
import type { TranscriptEntry } from '@locutor/core/call';
import { writeMuLawWav } from '@locutor/core/audio';
import request from 'supertest';
import { AudioStore } from '../audio/audioStore';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import type { CallEntity } from './call.entity';
import { CallLog } from './callLog.service';
import { SweepService } from '../sweep/sweep.service';

let server: TestServer;
let main: LineId;
const dayMs = 86_400_000;

beforeEach(async () => {
  server = await testServer();
  main = (await server.ask('post', '/api/start', boatyardFacts)).body.id;
});
afterEach(() => server.stop());

const callNamed = (name: string, more: Partial<CallEntity> = {}): CallEntity => ({
  id: callId.create(name),
  lineId: main,
  versionId: null,
  callerNumber: '+12075550162',
  staffCaller: null,
  startedAt: Date.now() - 60_000,
  endedAt: Date.now(),
  pretended: false,
  outcome: 'answered',
  answeredBy: null,
  transcript: [],
  messageId: null,
  recordingId: null,
  recordingMs: 0,
  ...more,
});

async function keep(...calls: CallEntity[]): Promise<void> {
  const log = server.app.get(CallLog);
  calls.forEach((call) => log.put(call));
  await log.write();
}

async function found(query: string): Promise<CallId[]> {
  const { status, body } = await server.ask('get', `/api/calls${query}`);
  expect(status).toBe(200);
  return body.calls.map(({ id }: { id: CallId }) => id);
}

describe('the call log', () => {
  it('is read newest first, a hundred at a time', async () => {
    await keep(...Array.from({ length: 130 }, (_, at) => callNamed(`c${at}`, { startedAt: 1_000_000 + at })));
    const { body } = await server.ask('get', '/api/calls');
    expect(body.inAll).toBe(130);
    expect(body.calls).toHaveLength(100);
    expect(body.calls[0].id).toBe('call:c129');
    expect(body.calls[0].transcript).toBeUndefined();
    expect(await found('?skip=100')).toHaveLength(30);
  });

  it('is written as a spreadsheet, narrowed like the log, with names, and marks of calls at pretended moments', async () => {
    await keep(
      callNamed('a', { startedAt: 2_000_000, endedAt: 2_030_000, callerNumber: '+12075550117', pretended: true }),
      callNamed('b', { startedAt: 1_000_000, endedAt: null, callerNumber: 'anonymous' }),
      callNamed('c', { lineId: lineId.create('shed') }),
    );
    const { status, headers, text } = await request(server.app.getHttpServer())
      .get(`/api/calls/csv?lineId=${main}`)
      .set('Host', '127.0.0.1')
      .buffer(true);
    expect(status).toBe(200);
    expect(headers['content-type']).toBe('text/csv; charset=utf-8');
    const [head, first, second, end] = text.split('\r\n');
    expect(head).toMatch(/^date,time,time zone,seconds,line/);
    expect(first).toMatch(/^1969-12-31,19:33,America\/New_York,30,Larkspur Cove Boatyard,\+1 207 555 0117,.*,yes$/);
    expect(second).toMatch(/^1969-12-31,19:16,America\/New_York,,Larkspur Cove Boatyard,anonymous/);
    expect(end).toBe('');
  });

  it('is written in the language that the line speaks', async () => {
    const [{ id }] = (await server.ask('get', '/api/lines')).body;
    const { body: draft } = await server.ask('get', `/api/lines/${id}/draft`);
    const attendant = { ...draft.attendant, voice: 'frWoman' };
    const changed = await server.ask('put', `/api/lines/${id}/draft`, { revision: draft.revision, attendant });
    expect(changed.status).toBe(200);
    await keep(callNamed('a', { lineId: id, startedAt: 2_000_000, endedAt: 2_030_000, pretended: true }));
    const { text } = await request(server.app.getHttpServer())
      .get(`/api/calls/csv?lineId=${id}`)
      .set('Host', '127.0.0.1')
      .buffer(true);
    const [head, row] = text.split('\r\n');
    expect(head).toMatch(/^date,heure,fuseau horaire,secondes,ligne,appelant/);
    expect(row).toMatch(/,oui$/);
  });

  it('is narrowed by line, outcome, time, number and what was said', async () => {
    const said: TranscriptEntry = { type: 'spoke', atMs: 0, words: 'The fuel dock, please.', understood: true };
    await keep(
      callNamed('a', { outcome: 'message', callerNumber: '+12075550117' }),
      callNamed('b', { lineId: lineId.create('shed'), startedAt: 5000 }),
      callNamed('c', { transcript: [said] }),
    );
    expect(await found('?outcome=message')).toEqual(['call:a']);
    expect(await found('?lineId=line:shed')).toEqual(['call:b']);
    expect(await found('?toMs=6000')).toEqual(['call:b']);
    expect(await found(`?fromMs=${Date.now() - dayMs}&search=fuel dock`)).toEqual(['call:c']);
    expect(await found('?search=%2B12075550117')).toEqual(['call:a']);
    expect(await found('?search=207 555-0117')).toEqual(['call:a']);
    // Parts of numbers, short and long.
    expect(await found('?search=117')).toEqual(['call:a']);
    expect((await found('?search=55')).length).toBe(3);
    expect(await found('?search=nobody said this')).toEqual([]);
  });

  it('takes signs in a search for what they are, and refuses what is no question', async () => {
    await keep(callNamed('a', { callerNumber: '100%_sure' }), callNamed('b'));
    expect(await found('?search=%25_')).toEqual(['call:a']);
    expect(await found("?search=' OR 1=1 --")).toEqual([]);
    expect((await server.ask('get', '/api/calls?outcome=lost')).status).toBe(422);
    expect((await server.ask('get', '/api/calls?skip=-1')).status).toBe(422);
    expect((await server.ask('get', '/api/calls/call:none')).status).toBe(404);
  });

  it('keeps a call that goes on as it is now, and writes it anew when it is over', async () => {
    const call = callNamed('a', { endedAt: null, outcome: null });
    await keep(call);
    expect((await server.ask('get', '/api/calls/call:a')).body).toMatchObject({ endedAt: null, outcome: null });
    await keep({ ...call, endedAt: 5, outcome: 'gaveUpInMenu' });
    expect((await server.ask('get', '/api/calls')).body).toMatchObject({
      inAll: 1,
      calls: [{ outcome: 'gaveUpInMenu' }],
    });
  });

  it('forgets calls, and what was recorded of them, once they are old enough', async () => {
    const audio = server.app.get(AudioStore);
    const sound = (loud: number) => writeMuLawWav({ samples: new Float32Array(800).fill(loud), rateHz: 8000 });
    const [old, young] = [await audio.keep(sound(0.1)), await audio.keep(sound(0.2))];
    await keep(
      callNamed('old', { startedAt: Date.now() - 40 * dayMs, recordingId: old }),
      callNamed('young', { recordingId: young }),
    );
    const { body: settings } = await server.ask('get', '/api/settings');
    await server.ask('patch', '/api/settings', { revision: settings.revision, keepCallsDays: 30 });
    const long = new Date(Date.now() - 3 * dayMs);
    for await (const { path } of audio.files()) utimesSync(path, long, long);
    await server.app.get(SweepService).sweep();
    expect(await found('')).toEqual(['call:young']);
    expect([await audio.has(old), await audio.has(young)]).toEqual([false, true]);
  });

  it('refuses to keep calls for no time at all', async () => {
    const answer = await server.ask('patch', '/api/settings', { revision: 1, keepCallsDays: 0 });
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain('must be a whole number from 1 to 3650');
  });
});
