import { Inject } from '@nestjs/common';
import { IsNull, type FindOptionsWhere, type Repository } from 'typeorm';
import { folded, type ReferredId } from '@locutor/core/line';
import { Foresight, type OfficeChange } from '../foresight/foresight';
import { inUse, nameTaken, notFound } from '../problems/problem';
import type { UsesService } from '../uses/uses.service';
import { changeRevision } from './changeRevision';
import { definedOf } from './definedOf';
import type { Row } from './row.entity';

/** What people, boxes and greetings have in common: listed, added, changed, deleted unless in use, restored. */
export abstract class RowsService<RowId extends string & ReferredId, Entity extends Row<RowId> & { name: string }> {
  protected constructor(
    protected readonly rows: Repository<Entity>,
    private readonly uses: UsesService,
  ) {}

  /** What one of them is called, where no two may have the same name; null where they may. */
  protected readonly uniquelyNamed: string | null = null;

  /** Which list of the office they are, where calls on air go by it; null where they do not. */
  protected readonly listed: Exclude<keyof OfficeChange, 'lines' | 'outgoing'> | null = null;

  @Inject(Foresight)
  protected readonly foresight: Foresight;

  /** What must hold before something is kept; throws a Problem. */
  protected abstract check(row: Omit<Entity, 'revision' | 'deletedAt'>): Promise<void>;

  list(): Promise<Entity[]> {
    return this.rows.find({ where: { deletedAt: IsNull() } as FindOptionsWhere<Entity> });
  }

  async get(id: RowId): Promise<Entity> {
    const row = await this.rows.findOneBy({ id, deletedAt: IsNull() } as FindOptionsWhere<Entity>);
    if (!row) throw notFound('That entry');
    return row;
  }

  async add(row: Omit<Entity, 'revision' | 'deletedAt'>): Promise<Entity> {
    await this.nameMustBeFree(row);
    await this.check(row);
    await this.rows.insert({ ...row, revision: 1, deletedAt: null } as never);
    return this.get(row.id);
  }

  async change(id: RowId, revision: number, changes: Partial<Entity>): Promise<Entity> {
    const before = await this.get(id);
    const sent = definedOf(changes) as Partial<Entity>;
    if (sent.name !== undefined) await this.nameMustBeFree({ id, name: sent.name });
    const after = { ...before, ...sent };
    await this.check(after);
    if (before.revision === revision) {
      await this.mustNotBreak((rows) => rows.map((row) => (row.id === id ? after : row)));
    }
    return changeRevision(this.rows, { id } as FindOptionsWhere<Entity>, revision, sent, before.name);
  }

  /** Marks it as deleted. @throws Problem 409 with its uses while a draft or what is on air still needs it. */
  async remove(id: RowId): Promise<void> {
    const row = await this.get(id);
    const uses = await this.uses.of(id);
    if (uses.length > 0) throw inUse(row.name, uses);
    await this.mustNotBreak((rows) => rows.filter((each) => each.id !== id));
    await this.rows.update({ id } as FindOptionsWhere<Entity>, { deletedAt: Date.now() } as never);
  }

  private async mustNotBreak(changed: (rows: readonly Entity[]) => readonly Entity[]): Promise<void> {
    if (this.listed === null) return;
    await this.foresight.mustNotBreak({ [this.listed]: changed(await this.list()) });
  }

  /** Two of the same name cannot be told apart where they are chosen. */
  private async nameMustBeFree({ id, name }: { readonly id: string; readonly name: string }): Promise<void> {
    if (this.uniquelyNamed === null) return;
    const other = (await this.list()).find((each) => each.id !== id && folded(each.name) === folded(name));
    if (other) throw nameTaken(this.uniquelyNamed, other.name);
  }

  async restore(id: RowId): Promise<Entity> {
    const row = await this.rows.findOneBy({ id } as FindOptionsWhere<Entity>);
    if (!row) throw notFound('That entry');
    await this.nameMustBeFree(row);
    await this.check(row);
    await this.rows.update({ id } as FindOptionsWhere<Entity>, { deletedAt: null } as never);
    return this.get(id);
  }
}
