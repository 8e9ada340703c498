import type { AddressInfo } from 'node:net';
import { readWav } from '@locutor/core/audio';
import { groupDefaults, type PersonId } from '@locutor/core/directory';
import type { DeskHears, DeskView, HandsetHears } from '@locutor/core/exchange';
import { ringDefaults, type Path } from '@locutor/core/line';
import { LiveClient } from '../testing/liveClient';
import { messagePath, peopleNamed, putOnAir as officeOnAir } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

const frame = Buffer.alloc(160, 0x55);
const number = '+1 207 555 0140';
const callerNumber = '+1 207 555 0178';

let server: TestServer;
let noor: PersonId;
let priya: PersonId;
let lineId: string;

const handset = () => new LiveClient<HandsetHears>(server, 'handset').open();
const desk = (person: PersonId) => new LiveClient<DeskHears>(server, `desk/${encodeURIComponent(person)}`).open();
const dials = async (): Promise<LiveClient<HandsetHears>> => {
  const phone = await handset();
  phone.say({ type: 'dial', number, callerNumber });
  await phone.hears(({ type }) => type === 'call');
  return phone;
};
const shows = (phone: LiveClient<DeskHears>, passes: (view: DeskView) => boolean) =>
  phone.hears((message) => message.type === 'view' && passes(message.view));
const isIn = (phase: string) => (message: HandsetHears) => message.type === 'state' && message.phase === phase;
/** Waits until the first frame of a voice has come. */
const voiceOf = (phone: { readonly voice: readonly Buffer[] }) => server.clock.until(() => phone.voice[0], 1000);
/** What is kept on the disk takes real time: asks until it is there. */
const eventually = <Found>(look: () => Promise<Found | undefined>) => server.clock.until(look, 5000);
const logged = async () => (await server.ask('get', '/api/calls')).body;

/** The line reads the directory and what is on air again a moment after they changed. */
const lineHasRead = () => server.clock.pass(200);

/** Puts on air that everybody who calls gets this path. */
const putOnAir = (path: Path) => officeOnAir(server, lineId, path);
const message = () => messagePath(server);

/** Leaves a message in the first box, of which Noor is told by e-mail, as the caller does it after the beep. */
async function leavesMessage(speaks: (caller: Awaited<ReturnType<typeof dials>>) => Promise<void>) {
  const [box] = (await server.ask('get', '/api/boxes')).body;
  const [person] = (await server.ask('get', '/api/people')).body;
  await server.ask('patch', `/api/people/${person.id}`, {
    revision: person.revision,
    email: 'noor@larkspurcove.example',
  });
  await server.ask('patch', `/api/boxes/${box.id}`, { revision: 1, tell: [{ personId: person.id, by: 'email' }] });
  await putOnAir(await message());
  const caller = await dials();
  await caller.hears(isIn('recording'));
  await speaks(caller);
  caller.say({ type: 'key', key: '#' });
  await caller.hears(({ type }) => type === 'ended');
  const [left] = await eventually(async () => {
    const { body } = await server.ask('get', '/api/messages');
    return body.length > 0 ? body : undefined;
  });
  return left;
}

beforeEach(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
  lineId = (await server.ask('post', '/api/start', boatyardFacts)).body.id;
  [noor, priya] = await peopleNamed(server, 'Noor', 'Priya');
});
afterEach(() => server.stop());

describe('a call on the live line', () => {
  it('rings a desk phone, carries both voices, and is in the log with who answered', async () => {
    await putOnAir([{ ...ringDefaults, type: 'ring', personId: noor, seconds: 18 }, ...(await message())]);
    const noors = await desk(noor);
    const caller = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung' && doing.call.callerNumber === '+12075550178');
    noors.say({ type: 'answer' });
    await caller.hears(isIn('connected'));
    caller.say(frame);
    noors.say(frame);
    await voiceOf(caller);
    await voiceOf(noors);
    expect([caller.voice, noors.voice]).toEqual([[frame], [frame]]);
    noors.say({ type: 'hangUp' });
    expect(await caller.hears(({ type }) => type === 'ended')).toMatchObject({ reason: 'staffHungUp' });
    const { calls, inAll } = await logged();
    expect(inAll).toBe(1);
    expect(calls[0]).toMatchObject({ callerNumber: '+12075550178', outcome: 'answered', answeredBy: noor });
    const { body: call } = await server.ask('get', `/api/calls/${calls[0].id}`);
    expect(call.transcript.at(-1)).toMatchObject({ type: 'ended', reason: 'staffHungUp' });
  });

  it('is taken up again by a page that was loaded anew, with all that was said, and by nobody else', async () => {
    await putOnAir([
      { ...ringDefaults, type: 'ring', personId: noor, seconds: 30, before: 'One moment.' },
      ...(await message()),
    ]);
    const first = await dials();
    const told = await first.hears(({ type }) => type === 'call');
    if (told.type !== 'call') throw new Error('no call');
    await first.hears(({ type }) => type === 'ringback');
    await first.close();
    const stranger = await handset();
    stranger.say({ type: 'resume', callId: told.callId, token: 'x'.repeat(24) });
    await stranger.hears(({ type }) => type === 'refused');
    const again = await handset();
    again.say({ type: 'resume', callId: told.callId, token: told.token });
    await again.hears(({ type }) => type === 'ringback');
    const entries = again.heard.flatMap((each) => (each.type === 'entries' ? each.entries : []));
    expect(entries).toContainEqual(expect.objectContaining({ type: 'said', text: 'One moment.' }));
  });

  it('leaves a message as long as it was spoken, which a colleague hears by phone after the PIN', async () => {
    await putOnAir(await message());
    const [box] = (await server.ask('get', '/api/boxes')).body;
    await server.ask('patch', `/api/boxes/${box.id}`, { revision: 1, code: '*20', pin: '2468' });
    const caller = await dials();
    await caller.hears(isIn('recording'));
    for (let count = 0; count < 60; count += 1) {
      caller.say(frame);
      await server.clock.pass(20);
    }
    caller.say({ type: 'key', key: '#' });
    await caller.hears(({ type }) => type === 'ended');
    const [left] = await eventually(async () => {
      const { body } = await server.ask('get', '/api/messages');
      return body.length > 0 ? body : undefined;
    });
    const { calls } = await eventually(async () => {
      const log = await logged();
      return log.calls[0].messageId ? log : undefined;
    });
    expect(calls[0]).toMatchObject({ outcome: 'message', messageId: expect.stringMatching(/^message:/) });
    expect(left).toMatchObject({ callerNumber: '+12075550178', trial: false, heard: false, silent: false });
    expect(left.lengthMs).toBeGreaterThan(1000);
    expect(left.lengthMs).toBeLessThan(1400);

    const noors = await desk(noor);
    noors.say({ type: 'dial', digits: '*20' });
    await shows(noors, ({ doing }) => doing.type === 'calling' && doing.phase.startsWith('pin'));
    for (const key of ['2', '4', '6', '8', '#']) noors.say({ type: 'key', key });
    await shows(noors, ({ doing }) => doing.type === 'calling' && doing.phase === 'hearingMessages');
    noors.say({ type: 'key', key: '1' });
    await shows(noors, ({ doing }) => doing.type === 'calling' && doing.phase === 'saying');
    await eventually(async () => (await server.ask('get', '/api/messages')).body[0].heard || undefined);
  });

  it('leaves a message into which nobody spoke, marked as such, and nobody is told of it', async () => {
    const left = await leavesMessage(async () => server.clock.pass(3000));
    expect(left).toMatchObject({ silent: true, words: '', heard: false });
    expect((await server.ask('get', '/api/outbox')).body).toEqual([]);
  });

  it('leaves what was typed in place of speaking with the message, which is told', async () => {
    const left = await leavesMessage(async (caller) => {
      caller.say({ type: 'speak', words: 'My boat is adrift.' });
      caller.say({ type: 'speak', words: 'Please hurry.' });
      await server.clock.pass(3000);
    });
    expect(left).toMatchObject({ silent: false, words: 'My boat is adrift. Please hurry.' });
    const [mail] = await eventually(async () => {
      const { body } = await server.ask('get', '/api/outbox');
      return body.length > 0 ? body : undefined;
    });
    expect(mail.text).toContain('“My boat is adrift. Please hurry.”');
  });

  it('is recorded where a step says so, after the caller was told, and can be played', async () => {
    const ring = { ...ringDefaults, type: 'ring', personId: noor, seconds: 18 } as const;
    await putOnAir([{ type: 'record', on: true, tells: true }, ring, ...(await message())]);
    const noors = await desk(noor);
    const caller = await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung');
    const said = caller.heard.flatMap((each) => (each.type === 'entries' ? each.entries : []));
    expect(said.findIndex(({ type }) => type === 'said')).toBeLessThan(
      said.findIndex(({ type }) => type === 'callRecording'),
    );
    noors.say({ type: 'answer' });
    await caller.hears(isIn('connected'));
    for (let count = 0; count < 10; count += 1) noors.say(frame);
    await server.clock.pass(300);
    caller.say({ type: 'hangUp' });
    await caller.hears(({ type }) => type === 'ended');
    const call = await eventually(async () => {
      const [first] = (await logged()).calls;
      return first.recordingMs > 0 ? first : undefined;
    });
    expect(call.recordingMs).toBeGreaterThan(200);
    expect(call.recordingMs).toBeLessThan(1000);
    const { port } = server.app.getHttpServer().address() as AddressInfo;
    const sound = await fetch(`http://127.0.0.1:${port}/api/audio/${call.recordingId}`);
    expect(readWav(new Uint8Array(await sound.arrayBuffer())).ok).toBe(true);
  });

  it('goes on when the desk phone that rings vanishes', async () => {
    const members = [
      { personId: noor, tier: 1 },
      { personId: priya, tier: 1 },
    ];
    const group = { ...groupDefaults, name: 'Desk', members, order: 'inOrder', memberSeconds: 5 };
    const { id: groupId } = (await server.ask('post', '/api/groups', group)).body;
    await putOnAir([{ ...ringDefaults, type: 'ringGroup', groupId, seconds: null }, ...(await message())]);
    const [noors, priyas] = [await desk(noor), await desk(priya)];
    await dials();
    await shows(noors, ({ doing }) => doing.type === 'rung');
    await noors.close();
    await shows(priyas, ({ doing }) => doing.type === 'rung' && doing.of === groupId);
  });
});

describe('groups on the live line', () => {
  const members = () => [noor, priya].map((personId) => ({ personId, tier: 1 }));

  it('are reached by their direct number, past the attendant', async () => {
    await server.ask('post', '/api/groups', { name: 'Parts', members: members(), directNumber: '+1 207 555 0146' });
    await putOnAir(await message());
    const noors = await desk(noor);
    const caller = await handset();
    caller.say({ type: 'dial', number: '+1 207 555 0146', callerNumber });
    await shows(noors, ({ doing }) => doing.type === 'rung');
    noors.say({ type: 'answer' });
    await caller.hears(isIn('connected'));
  });

  it('are spoken to by all their phones at once, one way', async () => {
    await server.ask('post', '/api/groups', { name: 'Yard', members: members(), speakerCode: '*50' });
    await putOnAir(await message());
    const { body: ada } = await server.ask('post', '/api/people', { name: 'Ada', extension: '240' });
    await lineHasRead();
    const [adas, noors, priyas] = [await desk(ada.id), await desk(noor), await desk(priya)];
    adas.say({ type: 'dial', digits: '*50' });
    await shows(noors, ({ hears }) => hears === ada.id);
    adas.say(frame);
    noors.say(frame);
    await voiceOf(noors);
    await voiceOf(priyas);
    await server.clock.pass(100);
    expect([adas, noors, priyas].map(({ voice }) => voice.length)).toEqual([0, 1, 1]);
  });
});

describe('the door of the live line', () => {
  it('lets nobody in from another page, nor to the phone of nobody', async () => {
    await putOnAir(await message());
    const foreign = new LiveClient(server, 'handset', { Origin: 'http://evil.example' });
    expect(await foreign.refusal()).toBe(403);
    expect(await new LiveClient(server, 'handset', { Host: 'evil.example' }).refusal()).toBe(403);
    expect(await new LiveClient(server, 'desk/person:nobody').refusal()).toBe(404);
    expect(await new LiveClient(server, 'nowhere').refusal()).toBe(404);
  });

  it('shrugs off floods of keys, nonsense and what is too large', async () => {
    await putOnAir([{ type: 'askExtension', seconds: 18 }, ...(await message())]);
    const caller = await dials();
    for (let count = 0; count < 5000; count += 1) caller.say({ type: 'key', key: '5' });
    for (const nonsense of ['', '{', '[]', '{"type":"dial"}', '{"type":"key","key":"A"}']) caller.say(nonsense);
    caller.say(Buffer.alloc(77));
    const other = await dials();
    expect(other.heard[0]?.type).toBe('call');
    const tooLarge = await handset();
    tooLarge.say('x'.repeat(5000));
    await tooLarge.closed;
    await server.clock.pass(200);
    expect((await server.ask('get', '/api/live/board')).body.callsInAll).toBe(2);
    const [first] = (await logged()).calls.slice(-1);
    const { body } = await server.ask('get', `/api/calls/${first.id}`);
    expect(body.transcript.filter(({ type }: { type: string }) => type === 'key').length).toBeLessThan(400);
  });

  it('says in words what cannot be called', async () => {
    const early = await handset();
    early.say({ type: 'dial', number, callerNumber });
    expect(await early.hears(({ type }) => type === 'refused')).toMatchObject({
      says: expect.stringContaining('on air'),
    });
    early.say({ type: 'dial', number: '+1 207 555 0199', callerNumber });
    await early.hears((each) => each.type === 'refused' && each.says.includes('not a number of this business'));
  });

  it('sets its clock only while nobody is on the line', async () => {
    await putOnAir(await message());
    expect(await server.ask('put', '/api/live/clock', { reading: '2026-07-04T03:00' })).toMatchObject({
      status: 200,
      body: { isPretended: true },
    });
    await dials();
    expect((await server.ask('put', '/api/live/clock', { reading: null })).status).toBe(409);
    expect((await server.ask('put', '/api/live/clock', { reading: 'noon' })).status).toBe(422);
    expect((await logged()).calls[0].pretended).toBe(true);
  });
});

describe('the live line after the server started again', () => {
  it('has kept who is away, and has ended what was going on', async () => {
    await putOnAir([{ ...ringDefaults, type: 'ring', personId: noor, seconds: 30 }, ...(await message())]);
    const priyas = await desk(priya);
    priyas.say({ type: 'presence', presence: 'away' });
    await shows(priyas, ({ presence }) => presence === 'away');
    await dials();
    await server.clock.pass(200);
    await server.stop(true);
    server = await testServer({ dataDir: server.dataDir });
    await server.app.listen(0, '127.0.0.1');
    const { calls } = await logged();
    expect(calls).toHaveLength(1);
    expect(calls[0]).toMatchObject({ outcome: 'cut', endedAt: expect.any(Number) });
    await shows(await desk(priya), ({ presence }) => presence === 'away');
  });
});
