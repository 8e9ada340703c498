import type { BoxId } from '@locutor/core/directory';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { BoxPinsService } from './boxPins.service';

let server: TestServer;
let pins: BoxPinsService;
let box: BoxId;
beforeEach(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  pins = server.app.get(BoxPinsService);
  box = (await server.ask('get', '/api/boxes')).body[0].id;
  await pins.set(box, '2468');
});
afterEach(() => server.stop());

const wrong = async (times: number, caller = 'person:noor') => {
  const answers = [];
  for (let count = 0; count < times; count += 1) answers.push(await pins.check(box, caller, '1111'));
  return answers;
};

it('counts wrong PINs of a caller over all their calls, and takes none for a while after the fifth', async () => {
  expect(await wrong(5)).toEqual([...Array(4).fill({ type: 'wrong' }), { type: 'paused', forMs: 60_000 }]);
  await server.clock.pass(20_000);
  expect(await pins.check(box, 'person:noor', '2468')).toEqual({ type: 'paused', forMs: 40_000 });
  expect(await pins.check(box, 'person:priya', '2468')).toEqual({ type: 'right' });
  await server.clock.pass(40_000);
  expect(await wrong(1)).toEqual([{ type: 'paused', forMs: 120_000 }]);
  await server.clock.pass(120_000);
  expect(await pins.check(box, 'person:noor', '2468')).toEqual({ type: 'right' });
  expect(await wrong(1)).toEqual([{ type: 'wrong' }]);
});

it('does not let more be tried at once than one after the other', async () => {
  const answers = await Promise.all(Array.from({ length: 40 }, () => pins.check(box, 'person:noor', '1111')));
  expect(answers.filter(({ type }) => type === 'wrong').length).toBe(4);
  expect(answers.filter(({ type }) => type === 'paused').length).toBe(36);
});
