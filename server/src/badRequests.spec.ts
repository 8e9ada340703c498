import fc from 'fast-check';
import request from 'supertest';
import { boatyardFacts, testServer, type TestServer } from './testing/testServer';
import { airDraft } from './testing/airDraft';

interface Schema {
  readonly $ref?: string;
  readonly type?: string;
  readonly enum?: readonly string[];
  readonly pattern?: string;
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly format?: string;
}

interface Operation {
  readonly parameters?: readonly { readonly name: string; readonly in: string; readonly schema?: Schema }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
}

interface Asked {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly query: Readonly<Record<string, unknown>>;
  readonly body: unknown;
}

const methods = ['get', 'post', 'put', 'patch', 'delete'] as const;
const runsEach = process.env.LOCUTOR_LONG === '1' ? 300 : 12;

let server: TestServer;
let schemas: Readonly<Record<string, Schema>>;
let operations: readonly { readonly method: Asked['method']; readonly path: string; readonly of: Operation }[];
/** What fields of a name look like where they are right. */
let known: ReadonlyMap<string, unknown>;
/** The ids of what is there, by the part of the path that stands before one. */
const ids = new Map<string, readonly string[]>();
const idsIn = (rows: readonly { readonly id: string }[]): string[] => rows.map(({ id }) => id);
const everyId = (): string[] => [...ids.values()].flat();

beforeAll(async () => {
  server = await testServer();
  const line = (await server.ask('post', '/api/start', boatyardFacts)).body;
  await airDraft(server, line.id, 1);
  const people = (await server.ask('get', '/api/people')).body as { id: string }[];
  const members = people.map(({ id }) => ({ personId: id, tier: 1 }));
  expect((await server.ask('post', '/api/groups', { name: 'Yard', extension: '300', members })).status).toBe(201);
  expect((await server.ask('post', '/api/queues', { name: 'Launches', extension: '301' })).status).toBe(201);
  expect(
    (await server.ask('post', '/api/greetings', { name: 'Snow', words: 'We are closed.', voice: 'slt' })).status,
  ).toBe(201);
  const scene = {
    ...{ reading: '2026-11-23T10:00', callerNumber: '+12075550178', staff: [], others: 'answers' },
    acts: [{ type: 'press', keys: '1' }],
  };
  const rehearsal = { name: 'One', scene, expects: [{ type: 'reaches', who: people[0]?.id }] };
  await server.ask('post', `/api/lines/${line.id}/rehearsals`, { rehearsals: [rehearsal] });
  const trial = {
    ...{ atMs: Date.UTC(2026, 10, 30, 15), callerNumber: '+12075550178', staff: { type: 'answer' }, named: {} },
    caller: [{ type: 'press', afterMs: 4000, key: '1' }],
  };
  const answers: unknown[] = [{ of: 'draft', trials: [trial] }, boatyardFacts, rehearsal];
  for (const each of ['draft', 'versions', 'rehearsals', 'switch']) {
    const { body } = await server.ask('get', `/api/lines/${line.id}/${each}`);
    answers.push(body);
    if (Array.isArray(body)) ids.set(each, idsIn(body));
  }
  for (const each of ['lines', 'people', 'groups', 'queues', 'boxes', 'greetings', 'hours', 'settings', 'dictionary']) {
    const { body } = await server.ask('get', `/api/${each}`);
    answers.push(body);
    if (Array.isArray(body)) ids.set(each, idsIn(body));
  }
  known = fieldsIn(answers);
  const described = (await server.ask('get', '/api/openapi.json')).body;
  schemas = described.components.schemas;
  operations = Object.entries(described.paths as Record<string, Record<string, Operation>>).flatMap(([path, each]) =>
    methods.flatMap((method) => (each[method] ? [{ method, path, of: each[method] }] : [])),
  );
});
afterAll(() => server.stop());

/** The last value of each field that is anywhere in an answer. */
function fieldsIn(answer: unknown, fields = new Map<string, unknown>()): Map<string, unknown> {
  if (typeof answer !== 'object' || answer === null) return fields;
  for (const [key, value] of Object.entries(answer)) {
    if (!Array.isArray(answer) && value !== null) fields.set(key, value);
    fieldsIn(value, fields);
  }
  return fields;
}

const odd: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    [],
    {},
    [[]],
    [null],
    [{}],
    '',
    ' ',
    'null',
    '\u0000',
    '\ud800',
    '../../etc',
    true,
    0,
    -1,
  ),
  fc.constantFrom<unknown>(
    0.5,
    1e300,
    -1e300,
    Number.MAX_SAFE_INTEGER,
    8.64e15,
    8.64e15 + 1,
    'x'.repeat(6000),
    'é'.repeat(70),
  ),
  fc.constantFrom<unknown>({ length: 5 }, { toString: 1 }, { constructor: null }, JSON.parse('{"__proto__":{"a":1}}')),
  fc.jsonValue(),
);

/** Mostly as described, and now and then something that is not. */
function like(schema: Schema, name = '', depth = 0): fc.Arbitrary<unknown> {
  return fc.oneof({ weight: 60, arbitrary: described(schema, name, depth) }, { weight: 1, arbitrary: odd });
}

function described(schema: Schema, name: string, depth: number): fc.Arbitrary<unknown> {
  if (depth > 6) return odd;
  if (schema.$ref) return described(schemas[schema.$ref.split('/').at(-1) ?? ''] ?? {}, name, depth + 1);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (name === 'revision') return fc.constant(1);
  const sample = known.get(name);
  if (depth < 3 && (schema.type === 'array' ? Array.isArray(sample) : schema.type === 'object' && sample)) {
    return fc.oneof({ weight: 8, arbitrary: fc.constant(sample) }, { weight: 2, arbitrary: twistedCopy(sample) });
  }
  switch (schema.type) {
    case 'string':
      return textLike(schema.pattern);
    case 'integer':
    case 'number':
      return fc.oneof(
        fc.constantFrom(1, 2, schema.minimum ?? 0, schema.maximum ?? 10),
        fc.integer({ min: 0, max: 100 }),
      );
    case 'boolean':
      return fc.boolean();
    case 'array':
      return fc.array(like(schema.items ?? {}, name, depth + 1), { maxLength: 3 });
    case 'object':
      if (!schema.properties) return fc.oneof(fc.constant({}), fc.dictionary(fc.string(), odd, { maxKeys: 3 }));
      return fc.record(
        Object.fromEntries(Object.entries(schema.properties).map(([key, each]) => [key, like(each, key, depth + 1)])),
        { requiredKeys: [...(schema.required ?? [])] },
      );
    default:
      return odd;
  }
}

let nextExtension = 4000;

function textLike(pattern: string | undefined): fc.Arbitrary<string> {
  const plain = [
    'Ada',
    String(Math.floor(nextExtension++ / 9)),
    '+12075550144',
    'ada@example.org',
    '2026-12-01T10:00',
    'anonymous',
    'US',
  ];
  const right = [...everyId(), ...plain].filter((text) => !pattern || new RegExp(pattern).test(text));
  const others = fc.oneof(fc.string(), fc.constantFrom(...everyId()));
  const fitting = right.length > 0 ? fc.constantFrom(...right) : pattern ? matching(pattern) : others;
  return fc.oneof({ weight: 30, arbitrary: fitting }, others);
}

/** Texts of a form, or any where the form says more than they can be made from. */
function matching(pattern: string): fc.Arbitrary<string> {
  try {
    return fc.stringMatching(new RegExp(pattern));
  } catch {
    return fc.string();
  }
}

/** A copy in which one value somewhere is another one. */
function twistedCopy(value: unknown): fc.Arbitrary<unknown> {
  const places: (readonly (string | number)[])[] = [];
  const walk = (each: unknown, path: readonly (string | number)[]): void => {
    places.push(path);
    if (typeof each !== 'object' || each === null) return;
    for (const [key, inner] of Object.entries(each)) walk(inner, [...path, key]);
  };
  walk(value, []);
  return fc.tuple(fc.constantFrom(...places), odd).map(([path, put]) => {
    const copy = { whole: structuredClone(value) };
    const last = ['whole', ...path].at(-1) ?? 'whole';
    const holder = ['whole', ...path]
      .slice(0, -1)
      .reduce<Record<string, unknown>>(
        (at, key) => at[key] as Record<string, unknown>,
        copy as Record<string, unknown>,
      );
    holder[last] = put;
    return copy.whole;
  });
}

function askedOf({ method, path, of }: (typeof operations)[number]): fc.Arbitrary<Asked> {
  const oddParts = ['x', '%00', '%zz', '..%2f..', '__proto__', 'person:', `line:${'a'.repeat(300)}`, '%F0%9F%98%80'];
  const inPath = [...path.matchAll(/(\w[\w-]*)\/\{\w+\}/g)].map(([, before]) => ids.get(before ?? '') ?? []);
  const parts = fc.tuple(
    ...inPath.map((fitting) => {
      const others = fc.oneof(fc.constantFrom(...everyId()), fc.constantFrom(...oddParts));
      return fitting.length > 0 ? fc.oneof({ weight: 9, arbitrary: fc.constantFrom(...fitting) }, others) : others;
    }),
  );
  const inQuery = (of.parameters ?? []).filter((each) => each.in === 'query');
  const query = fc.record(Object.fromEntries(inQuery.map(({ name, schema }) => [name, like(schema ?? {}, name)])), {
    requiredKeys: [],
  });
  const schema = of.requestBody?.content['application/json']?.schema;
  const body = schema ? like(schema) : fc.constant(undefined);
  return fc.tuple(parts, query, body).map(([filled, asked, sent]) => ({
    method,
    path: filled.reduce((text, part) => text.replace(/\{\w+\}/, () => part), path),
    query: asked,
    body: sent,
  }));
}

async function ask({ method, path, query, body }: Asked): Promise<request.Response> {
  const asked = request(server.app.getHttpServer())[method](path).set('Host', '127.0.0.1').query(query);
  if (body === undefined) return asked.buffer(true);
  return asked.type('json').buffer(true).send(JSON.stringify(body));
}

/** A stale change is made again from the newer revision, so that more than its number is looked at. */
async function askAgain(asked: Asked): Promise<request.Response> {
  const answer = await ask(asked);
  const revision: unknown = answer.status === 409 ? answer.body.revision : undefined;
  return revision === undefined ? answer : ask({ ...asked, body: { ...(asked.body as object), revision } });
}

describe('whatever is asked', () => {
  const raw = (method: 'post' | 'put' | 'patch', path: string, text: string, type = 'application/json') =>
    request(server.app.getHttpServer())[method](path).set('Host', '127.0.0.1').type(type).send(text);
  const firstOf = async (list: string) => (await server.ask('get', `/api/${list}`)).body[0];

  it('null in a field that may be left out is refused, and changes nothing', async () => {
    for (const list of ['people', 'groups', 'queues', 'boxes', 'greetings', 'lines']) {
      const row = await firstOf(list);
      for (const field of Object.keys(row).filter((each) => !['id', 'revision', 'deletedAt'].includes(each))) {
        const { revision } = (await server.ask('get', `/api/${list}`)).body.find(
          ({ id }: { id: string }) => id === row.id,
        );
        const { status } = await server.ask('patch', `/api/${list}/${row.id}`, { revision, [field]: null });
        expect(`${list} ${field} ${status}`).toMatch(/ (200|409|422)$/);
      }
    }
    expect((await firstOf('people')).name).toEqual(expect.any(String));
  });

  it.each([
    ['lists', `${'['.repeat(10_000)}${']'.repeat(10_000)}`],
    ['objects', `${'{"a":'.repeat(10_000)}1${'}'.repeat(10_000)}`],
    ['what hides an object’s own', '{"of":"draft","trials":[],"__proto__":{"isAdmin":true}}'],
  ])('%s without end are refused at the door', async (_, text) => {
    const { id } = await firstOf('lines');
    const { status, body } = await raw('post', `/api/lines/${id}/trials`, text);
    expect(status).toBe(400);
    expect(body.detail).toBe('What was sent is nested too deeply, or is no plain data. Nothing was changed.');
  });

  it.each(['[[]]', '[null]', '["x"]', '[{}]', '{}', 'null', '[[[]],[]]'])('%s is no list of trials', async (trials) => {
    const { id } = await firstOf('lines');
    const { status, body } = await raw('post', `/api/lines/${id}/trials`, `{"of":"draft","trials":${trials}}`);
    expect(status).toBe(422);
    expect(body.errors.length).toBeGreaterThan(0);
  });

  it('says once what is wrong, and what cannot be said here', async () => {
    const { body } = await server.ask('post', '/api/groups', { name: 'Rigging', extension: '399', isVip: true });
    expect(body.detail).toBe('“isVip” is nothing that can be said here.');
    const missing = await server.ask('post', `/api/lines/${(await firstOf('lines')).id}/exchange-numbers`, {});
    expect(missing.body.detail).toBe('That is not the id of a line.');
  });

  it('is not taken in another form than JSON, nor when it is cut', async () => {
    const { status } = await raw(
      'post',
      '/api/contacts',
      'name=Ada&number=%2B12075550144',
      'application/x-www-form-urlencoded',
    );
    expect([400, 415, 422]).toContain(status);
    expect((await raw('post', '/api/contacts', '{"name": "Ada"')).status).toBe(400);
    expect((await raw('post', '/api/contacts', '"Ada"')).status).toBe(400);
    expect((await server.ask('get', '/api/contacts')).body.map(({ name }: { name: string }) => name)).not.toContain(
      'Ada',
    );
  });

  it('no moment that no calendar reckons with is taken', async () => {
    for (const reading of ['2026-02-30T10:00', '9999-12-31T23:59', '0000-01-01T00:00', '2026-11-23T24:00']) {
      expect((await server.ask('put', '/api/live/clock', { reading })).status).toBe(422);
    }
  });

  it('is answered, or refused in words: nothing of it is the server’s fault', async () => {
    const wrong: string[] = [];
    for (const operation of operations) {
      for (const asked of fc.sample(askedOf(operation), { numRuns: runsEach, seed: 20261127 })) {
        const { status, type, body } = await askAgain(asked);
        if (status < 400) continue;
        const isInWords = type === 'application/problem+json' && /^\S.*[.?]$/s.test(body.detail);
        if (status >= 500 || !isInWords) {
          wrong.push(
            `${status} ${asked.method} ${asked.path} ${JSON.stringify(asked.query)} ${JSON.stringify(asked.body)?.slice(0, 400)}: ${JSON.stringify(body)}`,
          );
        }
      }
    }
    expect(wrong).toEqual([]);
  }, 600_000);
});
