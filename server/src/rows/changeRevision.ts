import type { FindOptionsWhere, ObjectLiteral, QueryDeepPartialEntity, Repository } from 'typeorm';
import { notFound, stale } from '../problems/problem';

interface Revised extends ObjectLiteral {
  revision: number;
}

/**
 * Changes a row if it still has the revision the change started from.
 * @throws Problem 404 when it is not there, 409 with the newer revision when it was changed meanwhile.
 */
export async function changeRevision<Entity extends Revised>(
  rows: Repository<Entity>,
  where: FindOptionsWhere<Entity>,
  revision: number,
  changes: Partial<Entity>,
  what: string,
): Promise<Entity> {
  const next = { ...changes, revision: revision + 1 } as unknown as QueryDeepPartialEntity<Entity>;
  const { affected } = await rows.update({ ...where, revision } as FindOptionsWhere<Entity>, next);
  const now = await rows.findOneBy(where);
  if (!now) throw notFound(what);
  if (!affected) throw stale(what, now.revision);
  return now;
}
