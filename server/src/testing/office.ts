import type { BoxId, PersonId } from '@locutor/core/directory';
import { messageDefaults, type Path } from '@locutor/core/line';
import { airDraft } from './airDraft';
import type { Answer, TestServer } from './testServer';

type Names = readonly [string, ...string[]];

/** The people whose names begin so, in this order. @throws Error where one is not there. */
export async function peopleNamed<const Of extends Names>(
  server: Pick<TestServer, 'ask'>,
  ...names: Of
): Promise<{ readonly [Each in keyof Of]: PersonId }> {
  const people = (await server.ask('get', '/api/people')).body as { id: PersonId; name: string }[];
  const ids = names.map((name) => {
    const person = people.find((each) => each.name.startsWith(name));
    if (!person) throw new Error(`Nobody’s name begins with ${name}`);
    return person.id;
  });
  return ids as unknown as { readonly [Each in keyof Of]: PersonId };
}

/** A path that takes a message in the first box. */
export async function messagePath(server: Pick<TestServer, 'ask'>): Promise<Path> {
  const [box] = (await server.ask('get', '/api/boxes')).body as { id: BoxId }[];
  if (!box) throw new Error('There is no box');
  return [{ type: 'takeMessage', boxId: box.id, ...messageDefaults }];
}

/** Saves a draft in which a path answers all calls, and tries to put it on air. */
export async function tryOnAir(server: Pick<TestServer, 'ask'>, lineId: string, path: Path): Promise<Answer> {
  const draft = `/api/lines/${lineId}/draft`;
  const { attendant, revision } = (await server.ask('get', draft)).body;
  const answering = { rules: [], otherwise: path };
  const saved = await server.ask('put', draft, { revision, attendant: { ...attendant, answering } });
  return airDraft(server, lineId, saved.body.revision);
}

/** Lets a path answer all calls. The line reads what changed a moment later. */
export async function putOnAir(server: Pick<TestServer, 'ask' | 'clock'>, lineId: string, path: Path): Promise<void> {
  expect((await tryOnAir(server, lineId, path)).status).toBe(201);
  await server.clock.pass(200);
}
