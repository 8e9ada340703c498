import type { BoardHears, HandsetHears } from '@locutor/core/exchange';
import { ringDefaults, type Path } from '@locutor/core/line';
import { LiveClient } from '../testing/liveClient';
import { messagePath, putOnAir, tryOnAir } from '../testing/office';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

const frame = Buffer.alloc(160, 0x55);
const number = '+12075550190';
const to = { type: 'number', number } as const;
const rings = { ...ringDefaults, type: 'ringOutside', to, accept: false, seconds: 18 } as const;

let server: TestServer;
let lineId: string;
let board: LiveClient<BoardHears>;

beforeEach(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
  lineId = (await server.ask('post', '/api/start', boatyardFacts)).body.id;
  board = await new LiveClient<BoardHears>(server, 'board').open();
});
afterEach(() => server.stop());

async function callOn(path: Path): Promise<{ phone: LiveClient<HandsetHears>; callId: string }> {
  await putOnAir(server, lineId, [...path, ...(await messagePath(server))]);
  return dials();
}
async function dials(): Promise<{ phone: LiveClient<HandsetHears>; callId: string }> {
  const phone = await new LiveClient<HandsetHears>(server, 'handset').open();
  phone.say({ type: 'dial', number: boatyardFacts.number, callerNumber: '' });
  const call = await phone.hears(({ type }) => type === 'call');
  return { phone, callId: call.type === 'call' ? call.callId : '' };
}
const isIn = (phase: string) => (message: HandsetHears) => message.type === 'state' && message.phase === phase;
const entriesOf = (phone: LiveClient<HandsetHears>) =>
  phone.heard.flatMap((each) => (each.type === 'entries' ? each.entries : []));
const voiceOf = (phone: { readonly voice: readonly Buffer[] }) => server.clock.until(() => phone.voice[0], 1000);

describe('an outside phone on the live line', () => {
  it('carries both voices once somebody at the switchboard has answered for it, and to nobody else', async () => {
    const { phone, callId } = await callOn([rings]);
    const other = await new LiveClient<BoardHears>(server, 'board').open();
    await phone.hears(isIn('ringing'));
    board.say({ type: 'outside', callId, act: 'answer' });
    await phone.hears(isIn('connected'));
    phone.say(frame);
    board.say(frame);
    other.say(frame);
    await voiceOf(phone);
    await voiceOf(board);
    await server.clock.pass(300);
    expect([phone.voice, board.voice, other.voice]).toEqual([[frame], [frame], []]);
    board.say({ type: 'outside', callId, act: 'hangUp' });
    expect(await phone.hears(({ type }) => type === 'ended')).toMatchObject({ reason: 'staffHungUp' });
  });

  it('hears that 1 is to be pressed', async () => {
    const { phone, callId } = await callOn([{ ...rings, accept: true }]);
    await phone.hears(isIn('ringing'));
    board.say({ type: 'outside', callId, act: 'answer' });
    await phone.hears(isIn('accepting'));
    const played = await board.hears(({ type }) => type === 'play');
    expect(played).toMatchObject({ items: expect.arrayContaining([expect.objectContaining({ type: 'sentence' })]) });
    board.say({ type: 'outside', callId, act: 'accept' });
    await phone.hears(isIn('connected'));
  });

  it('that does not exist lets the call go on', async () => {
    const { phone, callId } = await callOn([rings]);
    await phone.hears(isIn('ringing'));
    board.say({ type: 'outside', callId, act: 'noSuchNumber' });
    await phone.hears(isIn('boxGreeting'));
    expect(entriesOf(phone)).toContainEqual(expect.objectContaining({ type: 'notAnswered', why: 'noSuchNumber' }));
  });

  it('takes over a call that is handed to it, or lets it go on', async () => {
    const { phone, callId } = await callOn([{ type: 'handOver', to, before: '' }]);
    await phone.hears(isIn('handingOver'));
    await phone.hears(({ type }) => type === 'ringback');
    board.say({ type: 'outside', callId, act: 'busy' });
    await phone.hears(isIn('boxGreeting'));
    await phone.close();
    const again = await dials();
    await again.phone.hears(isIn('handingOver'));
    board.say({ type: 'outside', callId: again.callId, act: 'answer' });
    expect(await again.phone.hears(({ type }) => type === 'ended')).toMatchObject({ reason: 'handedOver' });
  });
});

describe('what outside numbers may be called', () => {
  it('is no premium number unless the settings allow it', async () => {
    const premium = { ...rings, to: { type: 'number', number: '+19005550199' } } as const;
    const settings = (await server.ask('get', '/api/settings')).body;
    expect(settings.outgoing).toEqual({ kinds: ['sharedCost'], countries: null, mostAtOnce: 30 });
    const refused = await tryOnAir(server, lineId, [premium]);
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringContaining('notAllowed')]);
    const allowed = { ...settings.outgoing, kinds: ['premium', 'sharedCost'] };
    const changed = await server.ask('patch', '/api/settings', { revision: settings.revision, outgoing: allowed });
    expect(changed.body.outgoing).toEqual(allowed);
    const { phone } = await callOn([premium]);
    await phone.hears(isIn('ringing'));
  });

  it('is no more outside phones at once than the settings say', async () => {
    const settings = (await server.ask('get', '/api/settings')).body;
    const outgoing = { ...settings.outgoing, mostAtOnce: 1 };
    await server.ask('patch', '/api/settings', { revision: settings.revision, outgoing });
    const { phone } = await callOn([rings]);
    await phone.hears(isIn('ringing'));
    const second = await dials();
    await second.phone.hears(isIn('boxGreeting'));
    expect(entriesOf(second.phone)).toContainEqual(expect.objectContaining({ why: 'noLineFree' }));
  });

  it.each([
    ['a kind that is none', { kinds: ['free'], countries: null, mostAtOnce: 3 }],
    ['a country that is none', { kinds: [], countries: ['XX'], mostAtOnce: 3 }],
    ['nobody at once', { kinds: [], countries: null, mostAtOnce: 0 }],
    ['nothing', null],
  ])('is refused in words where it is %s', async (_what, outgoing) => {
    const answer = await server.ask('patch', '/api/settings', { revision: 1, outgoing });
    expect(answer.status).toBe(422);
  });
});
