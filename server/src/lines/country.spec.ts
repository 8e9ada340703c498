import { testServer, boatyardFacts, type TestServer } from '../testing/testServer';

let server: TestServer;
const ask: TestServer['ask'] = (...asked) => server.ask(...asked);

beforeAll(async () => {
  server = await testServer();
  const london = { ...boatyardFacts, name: 'Clerkenwell Bindery', number: '020 7946 0123', timeZone: 'Europe/London' };
  expect((await ask('post', '/api/start', london)).status).toBeLessThan(300);
});
afterAll(() => server.stop());

describe('a business in London', () => {
  it('has its own number read as it is written there', async () => {
    expect((await ask('get', '/api/lines')).body[0].number).toBe('+442079460123');
  });

  it('has mobiles, contacts, direct numbers and lists of callers read so', async () => {
    const [person] = (await ask('get', '/api/people')).body;
    const changed = await ask('patch', `/api/people/${person.id}`, { revision: 1, mobile: '07912 345678' });
    expect(changed.body.mobile).toBe('+447912345678');
    const contact = await ask('post', '/api/contacts', { name: 'Binder', number: '020 7946 0991' });
    expect(contact.body.number).toBe('+442079460991');
    const group = await ask('post', '/api/groups', { name: 'Bench', directNumber: '020 7946 0992' });
    expect(group.body.directNumber).toBe('+442079460992');
    const list = await ask('post', '/api/caller-lists', {
      name: 'Authors',
      kind: 'favoured',
      patterns: ['07700 900123'],
    });
    expect(list.body.patterns).toEqual(['+447700900123']);
  });

  it('is told with a number of its own country what is none', async () => {
    const wrong = await ask('post', '/api/contacts', { name: 'Odd', number: '12' });
    expect(wrong).toMatchObject({ status: 422, body: { detail: expect.stringContaining('+44') } });
    expect((await ask('post', '/api/contacts', { name: 'Odd', number: 'soon' })).status).toBe(422);
  });
});
