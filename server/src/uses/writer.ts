import type { EntityManager, EntityTarget, ObjectLiteral } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { CallerListEntity } from '../callerLists/callerList.entity';
import { ContactEntity } from '../contacts/contact.entity';
import { GreetingEntity } from '../greetings/greeting.entity';
import { GroupEntity } from '../groups/group.entity';
import { PersonEntity } from '../people/person.entity';
import { QueueEntity } from '../queues/queue.entity';

interface Revised extends ObjectLiteral {
  readonly revision: number;
}

interface Written {
  readonly entity: EntityTarget<Revised>;
  readonly where: ObjectLiteral;
  readonly before: ObjectLiteral;
  readonly revision: number;
}

interface Removable extends ObjectLiteral {
  id: string;
  deletedAt: number | null;
}

/** What can be deleted and restored, by the kind that its id names. */
const removable: Readonly<Record<string, EntityTarget<Removable>>> = {
  person: PersonEntity,
  group: GroupEntity,
  queue: QueueEntity,
  box: BoxEntity,
  contact: ContactEntity,
  callers: CallerListEntity,
  greeting: GreetingEntity,
};

export function entityOf(id: string): EntityTarget<Removable> | undefined {
  return removable[id.split(':')[0] ?? ''];
}

/** Writes rows, each as its next revision, and can take all of it back that nobody changed since. */
export class Writer {
  private readonly written: Written[] = [];
  private readonly removed: string[] = [];

  async write<Entity extends Revised>(
    rows: EntityManager,
    entity: EntityTarget<Entity>,
    row: Entity,
    changes: Partial<Entity>,
  ): Promise<void> {
    const where = 'lineId' in row ? { lineId: row.lineId as string } : { id: row.id as string };
    const before = Object.fromEntries(Object.keys(changes).map((name) => [name, row[name] as unknown]));
    const revision = row.revision + 1;
    await rows.update(entity, where as never, { ...changes, revision } as never);
    this.written.push({ entity: entity as EntityTarget<Revised>, where, before, revision });
  }

  async remove(rows: EntityManager, id: string): Promise<void> {
    const entity = entityOf(id);
    if (!entity) return;
    await rows.update(entity, { id }, { deletedAt: Date.now() } as never);
    this.removed.push(id);
  }

  /** The answer is how many rows were changed since, and stay as they are. */
  async takeBack(rows: EntityManager): Promise<number> {
    for (const id of this.removed) {
      const entity = entityOf(id);
      if (entity) await rows.update(entity, { id }, { deletedAt: null } as never);
    }
    let changed = 0;
    for (const { entity, where, before, revision } of this.written) {
      const now = { ...before, revision: revision + 1 };
      const { affected } = await rows.update(entity, { ...where, revision }, now as never);
      if (!affected) changed += 1;
    }
    return changed;
  }
}
