import { cpSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { PersonId } from '@locutor/core/directory';
import type { DeskHears, DeskView, HandsetHears } from '@locutor/core/exchange';
import { ringDefaults, type Path } from '@locutor/core/line';
import { LiveClient } from '../testing/liveClient';
import { messagePath, peopleNamed, putOnAir as officeOnAir } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

const frame = Buffer.alloc(160, 0x55);
const callerNumber = '+1 207 555 0178';
let server: TestServer;
let lineId: string;
let noor: PersonId;
let priya: PersonId;

beforeEach(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
  lineId = (await server.ask('post', '/api/start', boatyardFacts)).body.id;
  [noor, priya] = await peopleNamed(server, 'Noor', 'Priya');
});
afterEach(() => server.stop());

const putOnAir = (path: Path) => officeOnAir(server, lineId, path);
const message = () => messagePath(server);
const ringsNoor = async (): Promise<Path> => [
  { ...ringDefaults, type: 'ring', personId: noor, seconds: 60 },
  ...(await message()),
];
const handset = () => new LiveClient<HandsetHears>(server, 'handset').open();
const desk = (person: PersonId) => new LiveClient<DeskHears>(server, `desk/${encodeURIComponent(person)}`).open();
const dials = async (number: string = boatyardFacts.number) => {
  const phone = await handset();
  phone.say({ type: 'dial', number, callerNumber });
  const told = await phone.hears(({ type }) => type === 'call');
  if (told.type !== 'call') throw new Error('no call');
  return { phone, callId: told.callId, token: told.token };
};
const isIn = (phase: string) => (said: HandsetHears) => said.type === 'state' && said.phase === phase;
const shows = (phone: LiveClient<DeskHears>, passes: (view: DeskView) => boolean) =>
  phone.hears((said) => said.type === 'view' && passes(said.view));
const logOf = async (id: string) => (await server.ask('get', `/api/calls/${id}`)).body;
/** Lets time pass as it does for sockets too, which say now and then that they are there. */
const pass = async (ms: number): Promise<void> => {
  for (let left = ms; left > 0; left -= 4000) {
    await server.clock.pass(Math.min(left, 4000));
    await server.ask('get', '/api/health');
  }
};
const eventually = <Found>(look: () => Promise<Found | undefined>) => server.clock.until(look, 20_000);

describe('a handset', () => {
  it('whose page is loaded twice within the time it may be gone keeps its call', async () => {
    await putOnAir(await ringsNoor());
    const { phone, callId, token } = await dials();
    await phone.close();
    await pass(5000);
    const second = await handset();
    second.say({ type: 'resume', callId, token });
    await second.hears(({ type }) => type === 'call');
    await second.close();
    await pass(4000);
    const third = await handset();
    third.say({ type: 'resume', callId, token });
    await third.hears(({ type }) => type === 'call');
    await pass(9000);
    expect(third.heard.some(({ type }) => type === 'ended')).toBe(false);
  });

  it('keeps its own call when it asks for one that is not its', async () => {
    await putOnAir(await ringsNoor());
    const { phone } = await dials();
    const { callId } = await dials();
    phone.say({ type: 'resume', callId, token: 'x'.repeat(24) });
    await server.clock.pass(300);
    phone.say({ type: 'hangUp' });
    expect(await phone.hears(({ type }) => type === 'ended')).toMatchObject({ reason: 'callerHungUp' });
  });

  it('is told, after the server was stopped, that its call was cut', async () => {
    await putOnAir(await ringsNoor());
    const { phone, callId, token } = await dials();
    await phone.hears(isIn('ringing'));
    await server.stop(true);
    server = await testServer({ dataDir: server.dataDir });
    await server.app.listen(0, '127.0.0.1');
    const again = await handset();
    again.say({ type: 'resume', callId, token });
    expect(await again.hears(({ type }) => type === 'refused')).toMatchObject({
      says: 'The line was stopped during your call. Call again.',
    });
  });
});

describe('a caller who is blocked', () => {
  it('is in the log as such, and not kept on the line, nor as cut when the server stops', async () => {
    expect(
      (await server.ask('post', '/api/caller-lists', { name: 'Nuisance', kind: 'blocked', patterns: [callerNumber] }))
        .status,
    ).toBe(201);
    await putOnAir(await ringsNoor());
    const phone = await handset();
    phone.say({ type: 'dial', number: boatyardFacts.number, callerNumber });
    await phone.hears(({ type }) => type === 'ended');
    await server.stop(true);
    server = await testServer({ dataDir: server.dataDir });
    const { calls } = (await server.ask('get', '/api/calls')).body;
    expect(calls).toHaveLength(1);
    expect(calls[0].outcome).toBe('blocked');
  });
});

describe('the clock of the machine, when it is set back an hour during a call', () => {
  it('makes no call last less than no time, and no message too short to be kept', async () => {
    await putOnAir(await message());
    const { phone, callId } = await dials();
    await phone.hears(isIn('recording'));
    phone.say(frame);
    server.clock.jump(-3_600_000);
    await server.clock.pass(3000);
    phone.say({ type: 'speak', words: 'My boat is adrift.' });
    phone.say({ type: 'key', key: '#' });
    await phone.hears(({ type }) => type === 'ended');
    const [left] = await eventually(async () => {
      const { body } = await server.ask('get', '/api/messages');
      return body.length > 0 ? body : undefined;
    });
    expect(left.lengthMs).toBeGreaterThan(2500);
    const call = await logOf(callId);
    const lengthMs = call.endedAt - call.startedAt;
    expect(lengthMs).toBeGreaterThan(3000);
    expect(lengthMs).toBeLessThan(60_000);
    expect(Math.abs(call.endedAt - server.clock.now())).toBeLessThan(60_000);
    const times = call.transcript.map(({ atMs }: { atMs: number }) => atMs);
    expect(times).toEqual([...times].sort((one, other) => one - other));
  });

  it('lets a member rest no longer than their rest', async () => {
    const members = [{ personId: noor, tier: 1 }];
    const group = { name: 'Parts', members, restSeconds: 20, directNumber: '+1 207 555 0146' };
    await server.ask('post', '/api/groups', group);
    await putOnAir(await message());
    const noors = await desk(noor);
    const first = await dials(group.directNumber);
    await shows(noors, ({ doing }) => doing.type === 'rung');
    noors.say({ type: 'answer' });
    await first.phone.hears(isIn('connected'));
    first.phone.say({ type: 'hangUp' });
    await shows(noors, ({ doing }) => doing.type === 'nothing');
    server.clock.jump(-3_600_000);
    await pass(25_000);
    noors.heard.length = 0;
    await dials(group.directNumber);
    await shows(noors, ({ doing }) => doing.type === 'rung');
  });
});

describe('what is logged', () => {
  it('is true at every second, also of a call that is cut when the server is killed', async () => {
    await putOnAir(await ringsNoor());
    const noors = await desk(noor);
    const { phone, callId } = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung');
    noors.say({ type: 'answer' });
    await phone.hears(isIn('connected'));
    await server.clock.pass(1200);
    await eventually(async () => ((await logOf(callId)).answeredBy === noor ? true : undefined));
    await pass(30_000);
    const before = await logOf(callId);
    expect(before.endedAt).toBeNull();
    // As a server that is killed leaves it: nothing is written any more.
    const copy = `${server.dataDir}-killed`;
    cpSync(server.dataDir, copy, { recursive: true });
    await server.stop();
    server = await testServer({ dataDir: copy });
    const after = await logOf(callId);
    expect(after).toMatchObject({ answeredBy: noor, outcome: 'cut' });
    const lengthMs = after.endedAt - after.startedAt;
    expect(lengthMs).toBeGreaterThan(30_000);
    expect(lengthMs).toBeLessThan(40_000);
  });

  it('has a message that was being spoken when the server was killed as what came of the call', async () => {
    await putOnAir(await message());
    const { phone, callId, token } = await dials();
    await phone.hears(isIn('recording'));
    for (let count = 0; count < 100; count += 1) {
      phone.say(frame);
      await server.clock.pass(20);
    }
    await eventually(async () => ((await logOf(callId)).transcript.length > 1 ? true : undefined));
    await server.clock.pass(1200);
    const copy = `${server.dataDir}-killed`;
    cpSync(server.dataDir, copy, { recursive: true });
    await server.stop();
    server = await testServer({ dataDir: copy });
    await server.app.listen(0, '127.0.0.1');
    const [left] = (await server.ask('get', '/api/messages')).body;
    expect(left.lengthMs).toBeGreaterThan(1500);
    expect(await logOf(callId)).toMatchObject({ outcome: 'message', messageId: left.id });
    const again = await handset();
    again.say({ type: 'resume', callId, token });
    expect(await again.hears(({ type }) => type === 'refused')).toMatchObject({
      says: 'The line was stopped during your call. What you had said until then was kept as a message. Call again.',
    });
  });
});

describe('a disk that takes nothing while a message is spoken', () => {
  it('ends no call, and the message is kept once there is room', async () => {
    await putOnAir(await message());
    const takes = join(server.dataDir, 'takes');
    rmSync(takes, { recursive: true, force: true });
    writeFileSync(takes, 'in the way');
    const { phone } = await dials();
    const other = await dials();
    await phone.hears(isIn('recording'));
    for (let count = 0; count < 60; count += 1) {
      phone.say(frame);
      await server.clock.pass(20);
    }
    phone.say({ type: 'key', key: '#' });
    await phone.hears(({ type }) => type === 'ended');
    other.phone.say({ type: 'hangUp' });
    await other.phone.hears(({ type }) => type === 'ended');
    rmSync(takes);
    const [left] = await eventually(async () => {
      const { body } = await server.ask('get', '/api/messages');
      return body.length > 0 ? body : undefined;
    });
    expect(left.lengthMs).toBeGreaterThan(1000);
  });
});

describe('who is not meant', () => {
  it('is not answered for by the switchboard, nor is their talk hung up there', async () => {
    await putOnAir(await ringsNoor());
    const noors = await desk(noor);
    const { phone, callId } = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung');
    const board = await new LiveClient(server, 'board').open();
    board.say({ type: 'outside', callId, act: 'answer' });
    board.say({ type: 'outside', callId, act: 'busy' });
    await server.clock.pass(500);
    expect(phone.heard.some(isIn('connected'))).toBe(false);
    noors.say({ type: 'answer' });
    await phone.hears(isIn('connected'));
    board.say({ type: 'outside', callId, act: 'hangUp' });
    await server.clock.pass(500);
    expect(phone.heard.some(({ type }) => type === 'ended')).toBe(false);
  });

  it('cannot answer once they were deleted', async () => {
    await putOnAir(await message());
    const ada = (await server.ask('post', '/api/people', { name: 'Ada', extension: '240' })).body;
    const members = [{ personId: ada.id, tier: 1 }];
    const group = (await server.ask('post', '/api/groups', { name: 'Parts', members, directNumber: '+1 207 555 0146' }))
      .body;
    await server.clock.pass(200);
    const adas = await desk(ada.id);
    const { phone } = await dials('+1 207 555 0146');
    await shows(adas, ({ doing }) => doing.type === 'rung');
    await server.ask('patch', `/api/groups/${group.id}`, { revision: 1, members: [] });
    const { status } = await server.ask('delete', `/api/people/${ada.id}`);
    expect(status).toBe(204);
    await server.clock.pass(500);
    await adas.closed;
    expect(phone.heard.some(isIn('connected'))).toBe(false);
  });

  it('does not hear an announcement any more once they take a call', async () => {
    const members = [{ personId: noor, tier: 1 }];
    await server.ask('post', '/api/groups', { name: 'Yard', members, speakerCode: '*50' });
    await putOnAir(await ringsNoor());
    const [noors, priyas] = [await desk(noor), await desk(priya)];
    priyas.say({ type: 'dial', digits: '*50' });
    await shows(priyas, ({ doing }) => doing.type === 'speaking');
    priyas.say(frame);
    await server.clock.until(() => noors.voice[0], 2000);
    const { phone } = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung');
    noors.say({ type: 'answer' });
    await phone.hears(isIn('connected'));
    noors.voice.length = 0;
    for (let count = 0; count < 5; count += 1) priyas.say(frame);
    await server.clock.pass(300);
    expect(noors.voice).toEqual([]);
  });
});

describe('a phone outside on which a call is to be accepted', () => {
  it('says so to whoever answers it, before they have the caller', async () => {
    const phones = [{ type: 'outside', seconds: 20, number: '+1 207 555 0163', accept: true }];
    const { revision } = (await server.ask('get', '/api/people')).body.find(({ id }: { id: string }) => id === noor);
    expect((await server.ask('patch', `/api/people/${noor}`, { revision, phones })).status).toBe(200);
    await putOnAir(await ringsNoor());
    const noors = await desk(noor);
    const { phone } = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung' && doing.number === '+12075550163');
    noors.say({ type: 'answer' });
    const told = await noors.hears(({ type }) => type === 'play');
    expect(told).toMatchObject({ items: [{ type: 'sentence' }, { type: 'sentence' }] });
    expect(phone.heard.some(isIn('connected'))).toBe(false);
    noors.say({ type: 'key', key: '1' });
    await phone.hears(isIn('connected'));
  });
});

describe('voice that comes faster than it can be spoken', () => {
  it('makes no longer message', async () => {
    await putOnAir(await message());
    const { phone } = await dials();
    await phone.hears(isIn('recording'));
    for (let count = 0; count < 200; count += 1) phone.say(frame);
    await server.clock.pass(2000);
    phone.say({ type: 'key', key: '#' });
    await phone.hears(({ type }) => type === 'ended');
    const [left] = await eventually(async () => {
      const { body } = await server.ask('get', '/api/messages');
      return body.length > 0 ? body : undefined;
    });
    expect(left.lengthMs).toBeLessThan(2500);
  });
});

describe('the pretended clock', () => {
  it('is not set while a phone is rung to record with it, which goes on ringing', async () => {
    await putOnAir(await message());
    const asked = server.ask('post', '/api/phone-takes', {
      ...{ personId: noor, place: 'greeting:any', name: 'Snow', text: 'We are closed.' },
      says: JSON.stringify({ words: 'We are closed.', options: [], live: [] }),
    });
    const noors = await desk(noor);
    await shows(noors, ({ doing }) => doing.type === 'rungForTake');
    expect((await server.ask('put', '/api/live/clock', { reading: '2026-12-01T10:00' })).status).toBe(409);
    noors.say({ type: 'decline' });
    expect((await asked).status).toBe(409);
    expect((await server.ask('put', '/api/live/clock', { reading: '2026-12-01T10:00' })).status).toBe(200);
  });
});

describe('hold music', () => {
  it('goes on where it was, however often it is played', async () => {
    await putOnAir(await ringsNoor());
    const noors = await desk(noor);
    const { phone } = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung');
    noors.say({ type: 'answer' });
    await phone.hears(isIn('connected'));
    noors.say({ type: 'hold', on: true });
    await phone.hears(isIn('onHold'));
    await pass(75_000);
    const from = phone.heard.flatMap((said) =>
      said.type === 'play' ? said.items.flatMap((item) => (item.type === 'music' ? [item.fromMs] : [])) : [],
    );
    expect(from).toEqual([0, 30_000, 60_000]);
  });
});
