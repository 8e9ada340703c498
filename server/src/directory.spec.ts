import { boatyardFacts, testServer, type TestServer } from './testing/testServer';
import { airDraft } from './testing/airDraft';
import { MessagesService } from './messages/messages.service';
import { spokenOf } from './reckoning/spoken';

let server: TestServer;
let ask: TestServer['ask'];

beforeEach(async () => {
  server = await testServer();
  ask = server.ask.bind(server);
});
afterEach(() => server.stop());

async function start() {
  const { body: line } = await ask('post', '/api/start', boatyardFacts);
  const { body: people } = await ask('get', '/api/people');
  const { body: draft } = await ask('get', `/api/lines/${line.id}/draft`);
  const { body: boxes } = await ask('get', '/api/boxes');
  const named = (name: string) => people.find((person: { name: string }) => person.name.startsWith(name));
  return { line, people, draft, box: boxes[0], noor: named('Noor'), priya: named('Priya') };
}

describe('a person', () => {
  it('has phones in an order, an e-mail address, a mobile and hours of their own', async () => {
    const { noor, line } = await start();
    const changes = {
      revision: noor.revision,
      saidAs: 'Noor Hall-dane',
      phones: [
        { type: 'desk', seconds: 10 },
        { type: 'outside', seconds: 20, number: '(207) 555-0161' },
      ],
      email: 'noor@larkspurcove.example',
      mobile: '+1 207 555 0161',
      inDirectory: false,
      hoursId: line.hoursId,
    };
    const { status, body } = await ask('patch', `/api/people/${noor.id}`, changes);
    expect(status).toBe(200);
    expect(body).toMatchObject({
      saidAs: 'Noor Hall-dane',
      phones: [
        { type: 'desk', seconds: 10 },
        { type: 'outside', seconds: 20, number: '+12075550161', accept: true },
      ],
      mobile: '+12075550161',
      inDirectory: false,
    });
    const without = await ask('patch', `/api/people/${noor.id}`, { revision: 2, email: '', mobile: '', hoursId: null });
    expect(without.body).toMatchObject({ email: '', mobile: '', hoursId: null });
  });

  it.each([
    [{ email: 'nowhere' }, 422, 'That is not an e-mail address.'],
    [{ mobile: '12' }, 422, 'is not a telephone number'],
    [{ phones: [] }, 422, 'Everybody needs at least one phone.'],
    [{ phones: [{ type: 'outside', seconds: 20 }] }, 422, 'An outside phone needs a number.'],
    [{ phones: [{ type: 'desk', seconds: 4 }] }, 422, 'must be a whole number from 5 to 300'],
    [{ phones: [{ type: 'outside', seconds: 20, number: '+1 207 555 0140' }] }, 409, 'would come round again'],
    [{ hoursId: 'hours:none' }, 404, 'Those hours'],
  ])('is refused with %j', async (changes, status, says) => {
    const { noor } = await start();
    const answer = await ask('patch', `/api/people/${noor.id}`, { revision: noor.revision, ...changes });
    expect(answer.status).toBe(status);
    expect(answer.body.detail).toContain(says);
  });

  it('arrives with others, known ones changed and extensions exchanged, or nobody does', async () => {
    const { noor, priya } = await start();
    const people = [
      { id: noor.id, extension: priya.extension },
      { id: priya.id, extension: noor.extension },
      { name: 'Juno Marchetti', extension: '206', email: 'juno@larkspurcove.example' },
    ];
    const { status, body } = await ask('post', '/api/people/take-in', { people });
    expect(status).toBe(201);
    expect(body.map((person: { name: string; extension: string }) => [person.name, person.extension])).toEqual(
      expect.arrayContaining([
        ['Noor Haldane', '204'],
        ['Priya Castellanos', '212'],
        ['Juno Marchetti', '206'],
      ]),
    );
    const twice = [
      { name: 'Ada', extension: '230' },
      { name: 'Bo', extension: '230' },
    ];
    expect(await ask('post', '/api/people/take-in', { people: twice })).toMatchObject({ status: 409 });
    expect((await ask('get', '/api/people')).body).toHaveLength(3);
    const unnamed = await ask('post', '/api/people/take-in', { people: [{ extension: '231' }] });
    expect(unnamed).toMatchObject({ status: 422 });
  });
});

describe('outside contacts', () => {
  it('are kept with their number and the days they are in service', async () => {
    await start();
    const contact = { name: 'Harbour master', number: '207 555 0190', serviceFrom: '2026-05-15' };
    const { body } = await ask('post', '/api/contacts', contact);
    expect(body).toMatchObject({ number: '+12075550190', serviceFrom: '2026-05-15', serviceUntil: null });
    const changed = await ask('patch', `/api/contacts/${body.id}`, { revision: 1, serviceUntil: '2026-09-15' });
    expect(changed.body).toMatchObject({ serviceUntil: '2026-09-15' });
    const early = await ask('patch', `/api/contacts/${body.id}`, { revision: 2, serviceUntil: '2026-05-14' });
    expect(early.body.detail).toContain('out of service before');
    expect((await ask('post', '/api/contacts', { name: 'Us', number: '+12075550140' })).status).toBe(409);
    expect((await ask('post', '/api/contacts', { name: 'Us', number: 'soon' })).status).toBe(422);
  });
});

describe('lists of callers', () => {
  it('keep numbers and beginnings of numbers, each once', async () => {
    await start();
    const patterns = ['+1 207 555 0171', '(207) 555-0171', '+1 207 555 018*'];
    const { body } = await ask('post', '/api/caller-lists', { name: 'Slip holders', kind: 'favoured', patterns });
    expect(body).toMatchObject({ patterns: ['+12075550171', '+120755501' + '8*'], anonymous: false });
    const wrong = await ask('patch', `/api/caller-lists/${body.id}`, { revision: 1, patterns: ['x', '*', '+1207*'] });
    expect(wrong.body.errors).toHaveLength(2);
    expect((await ask('post', '/api/caller-lists', { name: 'A', kind: 'odd' })).status).toBe(422);
  });
});

const open = { id: 'period:dock', name: 'Open' };
const week = [{ periodId: open.id, day: 6, startMin: 480, endMin: 720 }];

describe('a colleague who leaves', () => {
  it('is replaced in every draft and every box in one step, and can go once nothing on air needs them', async () => {
    const { line, noor, priya, box, draft } = await start();
    await ask('patch', `/api/boxes/${box.id}`, {
      revision: 1,
      ownerId: noor.id,
      tell: [
        { personId: noor.id, by: 'email' },
        { personId: priya.id, by: 'email' },
      ],
    });
    expect((await airDraft(server, line.id, draft.revision)).status).toBe(201);
    const { body: uses } = await ask('get', `/api/uses/${noor.id}`);
    expect(uses).toContain('the owner of the box Office');
    expect((await ask('get', '/api/uses')).body[noor.id]).toEqual(uses);
    const { body: planned } = await ask('post', '/api/replacements/plan', { from: noor.id, to: priya.id });
    const { body } = await ask('post', '/api/replacements', { from: noor.id, to: priya.id });
    // The path in the draft is the other's, and the same one on air is not yet; so are owning the box, being told and operating.
    expect(body.replaced).toEqual(planned.replaced);
    expect(body.replaced).toHaveLength(4);
    expect(body.left.every((use: string) => use.endsWith('on air'))).toBe(true);
    expect((await ask('get', '/api/boxes')).body[0]).toMatchObject({
      ownerId: priya.id,
      tell: [{ personId: priya.id, by: 'email' }],
    });
    expect((await ask('delete', `/api/people/${noor.id}`)).status).toBe(409);
    const { body: now } = await ask('get', `/api/lines/${line.id}/draft`);
    expect((await airDraft(server, line.id, now.revision)).status).toBe(201);
    expect((await ask('delete', `/api/people/${noor.id}`)).status).toBe(204);
    // Past calls and old versions go on naming them.
    expect((await ask('get', '/api/people')).body.map(({ id }: { id: string }) => id)).not.toContain(noor.id);
    expect((await ask('get', '/api/names')).body[noor.id]).toBe(noor.name);
  });

  it('is only taken out of groups, queues, boxes and lists where that is wanted, and deleted where nothing else needs them', async () => {
    const { line, noor, priya, box } = await start();
    const effie = (await ask('post', '/api/people', { name: 'Effie Brannigan', extension: '213' })).body;
    const members = [effie, priya].map(({ id }) => ({ personId: id, tier: 1 }));
    const group = (await ask('post', '/api/groups', { name: 'Desk', members })).body;
    await ask('patch', `/api/boxes/${box.id}`, {
      revision: 1,
      ownerId: effie.id,
      tell: [{ personId: effie.id, by: 'email' }],
    });
    const out = { from: effie.id, to: null, remove: true };
    expect((await ask('post', '/api/replacements/plan', out)).body).toMatchObject({
      replaced: expect.arrayContaining(['a member of the group Desk', 'the owner of the box Office']),
      left: [],
    });
    const { body } = await ask('post', '/api/replacements', out);
    expect(body).toMatchObject({ removed: true, left: [] });
    const groupNow = async () =>
      (await ask('get', '/api/groups')).body.find(({ id }: { id: string }) => id === group.id);
    expect((await groupNow()).members).toEqual([{ personId: priya.id, tier: 1 }]);
    expect((await ask('get', '/api/boxes')).body[0]).toMatchObject({ ownerId: null, tell: [] });

    expect((await ask('post', `/api/replacements/${body.id}/undo`)).body).toEqual({ changedSince: 0 });
    expect((await groupNow()).members).toEqual(members);
    expect((await ask('get', '/api/boxes')).body[0]).toMatchObject({ ownerId: effie.id });
    expect((await ask('get', '/api/people')).body.map(({ id }: { id: string }) => id)).toContain(effie.id);
    expect((await ask('post', `/api/replacements/${body.id}/undo`)).status).toBe(404);
    // Who is in a script stays there: the manager is told where.
    const stays = await ask('post', '/api/replacements', { from: noor.id, to: null, remove: true });
    expect(stays.body).toMatchObject({ removed: false, left: [expect.stringContaining('in the draft')] });
    expect(
      (await ask('get', '/api/lines')).body.find(({ id }: { id: string }) => id === line.id).operatorId,
    ).toBeNull();
  });

  it('takes the messages of a box with it, and brings them back', async () => {
    const { box } = await start();
    const other = (await ask('post', '/api/boxes', { name: 'Yard' })).body;
    const sound = spokenOf({ samples: new Float32Array(8000).map((_, at) => Math.sin(at / 3) / 4), rateHz: 8000 });
    const left = { boxId: box.id, callerNumber: 'anonymous', leftAt: 1, tell: [], words: '' };
    await server.app.get(MessagesService).keep('take:left', left, sound);
    const boxesOf = async () => (await ask('get', '/api/messages')).body.map((each: { boxId: string }) => each.boxId);
    const closing = { from: box.id, to: other.id, remove: true };
    expect((await ask('post', '/api/replacements/plan', closing)).body.messages).toBe(1);
    const { body } = await ask('post', '/api/replacements', closing);
    expect([body.removed, ...(await boxesOf())]).toEqual([true, other.id]);
    await ask('post', `/api/replacements/${body.id}/undo`);
    expect(await boxesOf()).toEqual([box.id]);
    expect((await ask('get', '/api/boxes')).body.map(({ name }: { name: string }) => name)).toEqual(['Office', 'Yard']);
    expect((await ask('post', '/api/replacements', { from: box.id, to: null })).status).toBe(422);
    expect((await ask('post', '/api/replacements/replacement:none/undo')).status).toBe(404);
  });

  it('leaves what was changed since, when replacing is taken back', async () => {
    const { noor, priya, box } = await start();
    const members = [{ personId: noor.id, tier: 1 }];
    const group = (await ask('post', '/api/groups', { name: 'Desk', members })).body;
    const { body } = await ask('post', '/api/replacements', { from: noor.id, to: priya.id });
    const now = (await ask('get', '/api/groups')).body.find(({ id }: { id: string }) => id === group.id);
    await ask('patch', `/api/groups/${group.id}`, { revision: now.revision, members: [] });
    expect((await ask('post', `/api/replacements/${body.id}/undo`)).body).toEqual({ changedSince: 1 });
    expect((await ask('get', '/api/groups')).body.find(({ id }: { id: string }) => id === group.id).members).toEqual(
      [],
    );
    expect((await ask('get', '/api/boxes')).body[0]).toMatchObject({ ownerId: noor.id, id: box.id });
  });

  it('is found and replaced in the words of library greetings, and hours that words say are kept', async () => {
    const { noor, priya } = await start();
    const { body: shed } = await ask('post', '/api/hours', { name: 'Shed', periods: [open], week });
    const words = `Ask for {name ${noor.id}}. Open {week ${shed.id}}.`;
    const { body: greeting } = await ask('post', '/api/greetings', { name: 'Ask', words, voice: 'slt' });
    expect((await ask('get', `/api/uses/${noor.id}`)).body).toContain('the words of the greeting Ask');
    expect((await ask('delete', `/api/people/${noor.id}`)).status).toBe(409);
    expect((await ask('delete', `/api/hours/${shed.id}`)).body.detail).toContain('the words of the greeting Ask');
    await ask('post', '/api/replacements', { from: noor.id, to: priya.id });
    const { body: now } = await ask('get', '/api/greetings');
    expect(now.find(({ id }: { id: string }) => id === greeting.id).words).toContain(`{name ${priya.id}}`);
  });

  it('is replaced only by another person who is there', async () => {
    const { noor, box } = await start();
    expect((await ask('post', '/api/replacements', { from: noor.id, to: box.id })).status).toBe(422);
    expect((await ask('post', '/api/replacements', { from: noor.id, to: noor.id })).status).toBe(422);
    expect((await ask('post', '/api/replacements', { from: noor.id, to: 'person:none' })).status).toBe(422);
  });
});

describe('a name that is taken', () => {
  it('is refused in words for lines, groups, queues and boxes, whatever its capitals, and may be kept as it is', async () => {
    const { line, box } = await start();
    const refused = { status: 422, body: { detail: expect.stringMatching(/already. Give this one another name/) } };
    for (const list of ['/api/groups', '/api/queues', '/api/boxes']) {
      const { body: one } = await ask('post', list, { name: 'Moorings' });
      const { body: other } = await ask('post', list, { name: 'Parts' });
      expect(await ask('post', list, { name: 'moorings' })).toMatchObject(refused);
      expect(await ask('patch', `${list}/${other.id}`, { revision: 1, name: 'Moorings ' })).toMatchObject(refused);
      expect((await ask('patch', `${list}/${one.id}`, { revision: 1, name: 'Moorings' })).status).toBe(200);
      await ask('delete', `${list}/${one.id}`);
      expect((await ask('patch', `${list}/${other.id}`, { revision: 1, name: 'Moorings' })).status).toBe(200);
      expect(await ask('post', `${list}/${one.id}/restore`)).toMatchObject(refused);
    }
    const shed = { name: line.name, number: '+12075550155', timeZone: line.timeZone };
    expect(await ask('post', '/api/lines', shed)).toMatchObject(refused);
    expect(box.name).toBe('Office');
  });
});

describe('hours', () => {
  it('have names, are shared, and stay while somebody keeps them', async () => {
    const { noor } = await start();
    const { body: dock } = await ask('post', '/api/hours', { name: 'Fuel dock', periods: [open], week });
    expect((await ask('get', '/api/hours')).body.map(({ name }: { name: string }) => name)).toContain('Fuel dock');
    await ask('patch', `/api/people/${noor.id}`, { revision: noor.revision, hoursId: dock.id });
    expect(await ask('delete', `/api/hours/${dock.id}`)).toMatchObject({
      status: 409,
      body: { uses: ['Noor Haldane'] },
    });
    const renamed = await ask('put', `/api/hours/${dock.id}`, { revision: 1, name: 'Dock', periods: [open], week });
    expect(renamed.body).toMatchObject({ name: 'Dock', revision: 2 });
    await ask('patch', `/api/people/${noor.id}`, { revision: noor.revision + 1, hoursId: null });
    // A single phone can keep them too.
    const phones = [{ type: 'desk', seconds: 12, hoursId: dock.id }];
    const on = await ask('patch', `/api/people/${noor.id}`, { revision: noor.revision + 2, phones });
    expect(on.body.phones).toEqual(phones);
    expect((await ask('delete', `/api/hours/${dock.id}`)).body).toMatchObject({ uses: ['a phone of Noor Haldane'] });
    const unknown = [{ type: 'desk', seconds: 12, hoursId: 'hours:none' }];
    expect(
      (await ask('patch', `/api/people/${noor.id}`, { revision: noor.revision + 3, phones: unknown })).status,
    ).toBe(404);
    await ask('patch', `/api/people/${noor.id}`, {
      revision: noor.revision + 3,
      phones: [{ type: 'desk', seconds: 12 }],
    });
    expect((await ask('delete', `/api/hours/${dock.id}`)).status).toBe(204);
    expect((await ask('post', '/api/hours', { name: 'No', periods: [], week })).status).toBe(422);
  });
});

describe('special dates', () => {
  const eve = {
    id: 'special:eve',
    name: 'Christmas Eve',
    when: { type: 'yearly', month: 12, day: 24, days: 1 },
    moved: 'stays',
    hours: { type: 'closed', startMin: 0, endMin: 1440 },
    words: '',
  };

  it('are kept with the hours, refused in words, and stay while they answer somewhere', async () => {
    const { line, draft } = await start();
    const path = `/api/hours/${line.hoursId}`;
    const { body: hours } = await ask('get', path);
    const put = (special: unknown, revision: number) =>
      ask('put', path, { revision, periods: hours.periods, week: hours.week, special });
    expect((await put([eve], 1)).body.special).toEqual([eve]);
    const never = { ...eve, when: { ...eve.when, day: 31, month: 2 } };
    expect((await put([never], 2)).body.errors).toEqual([
      { at: 'special', says: 'Christmas Eve: there is no such day in the calendar.' },
    ]);
    expect((await put([{ ...eve, when: 'often' }], 2)).body.errors[0].at).toBe('special.0.when');
    const { attendant } = (await ask('get', `/api/lines/${line.id}/draft`)).body;
    const rule = { type: 'special', specialId: eve.id, path: attendant.answering.otherwise };
    const answering = { ...attendant.answering, rules: [rule, ...attendant.answering.rules] };
    await ask('put', `/api/lines/${line.id}/draft`, {
      revision: draft.revision,
      attendant: { ...attendant, answering },
    });
    const refused = await put([], 2);
    expect([refused.status, refused.body.detail]).toEqual([
      409,
      expect.stringContaining('the answer on Christmas Eve'),
    ]);
    // Who changes the week alone does not lose them.
    const kept = await ask('put', path, { revision: 2, periods: hours.periods, week: [] });
    expect(kept.body.special).toEqual([eve]);
  });

  it('are told of regions that keep other holidays than the whole country', async () => {
    const apart = async (country: string) =>
      (await ask('get', `/api/holidays/apart?country=${country}&from=2026&years=1`)).body.map(
        ({ name }: { name: string }) => name,
      );
    expect(await apart('DE')).toEqual(expect.arrayContaining(['Bayern', 'Berlin']));
    expect(await apart('NL')).toEqual([]);
    expect((await ask('get', '/api/holidays/apart?country=QQ&from=2026&years=1')).status).toBe(422);
  });

  it('can be picked from the public holidays of a country or region', async () => {
    const { body: places } = await ask('get', '/api/holidays/places');
    const usa = places.find(({ country }: { country: string }) => country === 'US');
    expect(usa.regions).toContainEqual({ region: 'ME', name: 'Maine' });
    const named = async (query: string) =>
      (await ask('get', `/api/holidays?${query}`)).body.map(
        ({ name, from }: { name: string; from: string }) => `${from} ${name}`,
      );
    const maine = await named('country=US&region=ME&from=2026&years=2');
    expect(maine).toContain("2027-04-19 Patriots' Day");
    expect(maine).toEqual(expect.arrayContaining(['2026-07-03 Independence Day', '2026-07-04 Independence Day']));
    expect(await named('country=US&from=2026&years=1')).not.toContain("2026-04-20 Patriots' Day");
    expect((await ask('get', '/api/holidays?country=QQ&from=2026&years=1')).status).toBe(422);
    // An afternoon is kept from its hour on.
    const { body: austrian } = await ask('get', '/api/holidays?country=AT&from=2026&years=1');
    expect(austrian).toContainEqual({ name: 'Heiliger Abend', from: '2026-12-24', to: '2026-12-24', startMin: 840 });
    expect(austrian).toContainEqual(expect.objectContaining({ from: '2026-12-25', startMin: 0 }));
    expect((await ask('get', '/api/holidays?country=US&from=2026&years=400')).status).toBe(422);
  });
});

describe('several lines', () => {
  const shed = { name: 'Storage shed', number: '+1 207 555 0155', timeZone: 'America/New_York' };

  it('begin with a menu or as a copy of another, each with a draft of its own', async () => {
    const { line, draft } = await start();
    const { body: fresh } = await ask('post', '/api/lines', shed);
    expect(fresh).toMatchObject({ number: '+12075550155', serviceFrom: null });
    expect(fresh.hoursId).not.toBe(line.hoursId);
    const { body: copy } = await ask('post', '/api/lines', {
      ...{ ...shed, name: 'Second shed', number: '+1 207 555 0156' },
      copyOf: line.id,
    });
    expect((await ask('get', `/api/lines/${copy.id}/draft`)).body.attendant).toEqual(draft.attendant);
    expect(copy.hoursId).toBe(line.hoursId);
    expect((await ask('get', '/api/lines')).body.map(({ id }: { id: string }) => id)).toEqual([
      line.id,
      fresh.id,
      copy.id,
    ]);
  });

  it('never share a number, and know when they are in service', async () => {
    const { line } = await start();
    expect((await ask('post', '/api/lines', { ...shed, number: '+1 207 555 0140' })).status).toBe(409);
    const { body: other } = await ask('post', '/api/lines', shed);
    const path = `/api/lines/${other.id}`;
    expect((await ask('patch', path, { revision: 1, number: line.number })).status).toBe(409);
    expect((await ask('patch', path, { revision: 1, serviceFrom: '2026-10-01' })).status).toBe(200);
    expect((await ask('patch', path, { revision: 2, serviceUntil: '2026-09-01' })).status).toBe(422);
  });

  it('hand callers over to one another in trial calls', async () => {
    const { line, draft } = await start();
    const { body: other } = await ask('post', '/api/lines', shed);
    const attendant = {
      ...draft.attendant,
      answering: { rules: [], otherwise: [{ type: 'toLine', lineId: other.id }] },
    };
    await ask('put', `/api/lines/${line.id}/draft`, { revision: draft.revision, attendant });
    const trial = { atMs: 1795446000000, callerNumber: 'anonymous', caller: [], staff: { type: 'noAnswer' } };
    const { body } = await ask('post', `/api/lines/${line.id}/trials`, { of: 'draft', trials: [trial] });
    expect(body[0].ended).toBe(true);
    expect(body[0].transcript).toContainEqual(expect.objectContaining({ type: 'line', lineId: other.id }));
  });
});

describe('trial calls', () => {
  it('run by the hundred, each with its caller and its staff', async () => {
    const { line, noor } = await start();
    const base = { atMs: 1795446000000, callerNumber: '+12075550178', staff: { type: 'busy' } };
    const caller = [{ type: 'press', key: '1', afterMs: 3000 }];
    const named = { [noor.id]: { type: 'answer', afterMs: 4000, talkMs: 10_000 } };
    const trials = [{ ...base, caller, named }, ...Array.from({ length: 200 }, () => ({ ...base, caller: [] }))];
    const { body } = await ask('post', `/api/lines/${line.id}/trials`, { of: 'draft', trials });
    expect(body).toHaveLength(201);
    expect(body[0].transcript.map(({ type }: { type: string }) => type)).toContain('answered');
    expect(body[1].transcript.map(({ type }: { type: string }) => type)).not.toContain('answered');
  });

  it('are refused in words when they are none', async () => {
    const { line } = await start();
    const path = `/api/lines/${line.id}/trials`;
    expect((await ask('post', path, { of: 'draft', trials: [] })).body.detail).toBe('There is no trial.');
    const trial = { atMs: 0, callerNumber: 'x', caller: [], staff: { type: 'asleep' } };
    expect((await ask('post', path, { of: 'draft', trials: [trial] })).status).toBe(422);
    expect(
      (
        await ask('post', path, {
          of: 'onAir',
          trials: [{ ...trial, callerNumber: 'anonymous', staff: { type: 'busy' } }],
        })
      ).body.detail,
    ).toContain('Nothing is on air');
  });
});
