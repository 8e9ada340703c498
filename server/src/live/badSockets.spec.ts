import { connect, type AddressInfo } from 'node:net';
import fc from 'fast-check';
import type { HandsetHears } from '@locutor/core/exchange';
import { airDraft } from '../testing/airDraft';
import { LiveClient } from '../testing/liveClient';
import { PresencesService } from './presences.service';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';

let server: TestServer;

beforeAll(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
  const line = (await server.ask('post', '/api/start', boatyardFacts)).body;
  await airDraft(server, line.id, 1);
});
afterAll(() => server.stop());

/** Asks for a socket at an address, as it is written, and gives back the first line of the answer. */
function upgrade(target: string, headers: readonly string[] = []): Promise<string> {
  const { port } = server.app.getHttpServer().address() as AddressInfo;
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1', () => {
      const lines = [
        `GET ${target} HTTP/1.1`,
        'Host: 127.0.0.1',
        'Connection: Upgrade',
        'Upgrade: websocket',
        'Sec-WebSocket-Version: 13',
        'Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==',
        ...headers,
      ];
      socket.write(`${lines.join('\r\n')}\r\n\r\n`);
    });
    let heard = '';
    socket.on('data', (data) => {
      heard += String(data);
      socket.destroy();
    });
    socket.on('error', () => resolve('reset'));
    socket.on('close', () => resolve(heard.split('\r\n')[0] ?? ''));
  });
}

const callOn = async (): Promise<LiveClient<HandsetHears>> => {
  const phone = await new LiveClient<HandsetHears>(server, 'handset').open();
  phone.say({ type: 'dial', number: boatyardFacts.number, callerNumber: '' });
  await phone.hears(({ type }) => type === 'call');
  return phone;
};
const isUp = async () => (await server.ask('get', '/api/health')).status === 200;

describe('a request for a socket', () => {
  it.each(['//', 'http://[', '/api/live/desk/%zz', '/api/live/desk/', '/api/live/desk/%00', '/api/live/', '*', '/\\'])(
    'at %s is refused, and calls go on',
    async (target) => {
      const phone = await callOn();
      expect(await upgrade(target)).toMatch(/^HTTP\/1\.1 4\d\d /);
      phone.say({ type: 'hangUp' });
      await phone.hears(({ type }) => type === 'ended');
      expect(await isUp()).toBe(true);
    },
  );

  it('whatever is asked for never ends the server', async () => {
    const part = fc.constantFrom(
      '/',
      '%',
      '%zz',
      '%E0%A4',
      'api',
      'live',
      'desk',
      'handset',
      '[',
      ']',
      '@',
      ':',
      '?',
      '#',
    );
    await fc.assert(
      fc.asyncProperty(fc.array(part, { maxLength: 8 }), async (parts) => {
        expect(await upgrade(`/${parts.join('')}`)).toMatch(/^HTTP\/1\.1 (4\d\d|101) /);
      }),
      { numRuns: 150 },
    );
    expect(await isUp()).toBe(true);
  });
});

describe('what is said over a socket', () => {
  it('never ends the server nor another call, whatever it is', async () => {
    const phone = await callOn();
    const anything = fc.oneof(
      fc.json(),
      fc.string(),
      fc.constantFrom('null', '[[]]', '{"type":"dial"}', '{"type":"dial","number":null,"callerNumber":{}}'),
      fc
        .record({ type: fc.constantFrom('dial', 'resume', 'key', 'speak', 'hangUp', '__proto__') })
        .map((each) => JSON.stringify(each)),
    );
    for (const path of ['handset', 'board', 'changes']) {
      const bad = await new LiveClient<HandsetHears>(server, path).open();
      for (const text of fc.sample(anything, { numRuns: 40, seed: 7 })) bad.say(text);
      bad.say(Buffer.alloc(160));
      await bad.close();
    }
    phone.say({ type: 'hangUp' });
    await phone.hears(({ type }) => type === 'ended');
    expect(await isUp()).toBe(true);
  });

  it('that is many statuses at once leaves the last one kept', async () => {
    const [person] = (await server.ask('get', '/api/people')).body;
    const phone = await new LiveClient(server, `desk/${encodeURIComponent(person.id)}`).open();
    for (const presence of ['busy', 'away', 'here', 'busy', 'away']) phone.say({ type: 'presence', presence });
    const kept = () => server.app.get(PresencesService).all();
    await server.clock.until(async () => ((await kept()).get(person.id) === 'away' ? true : undefined), 5000);
    expect(await isUp()).toBe(true);
  });
});
