import { Injectable } from '@nestjs/common';
import {
  DataSource,
  type EntityMetadata,
  type EntitySubscriberInterface,
  type InsertEvent,
  type QueryRunner,
  type RemoveEvent,
  type TransactionCommitEvent,
  type TransactionRollbackEvent,
  type UpdateEvent,
} from 'typeorm';
import { answersOf, isChangedTable } from './answersOf';
import { Changes, type Change } from './changes.service';

/** Hears of every row that is written, whoever writes it; within a transaction once that is over. */
@Injectable()
export class ChangedRows implements EntitySubscriberInterface {
  private readonly uncommitted = new WeakMap<QueryRunner, Change[]>();

  constructor(
    dataSource: DataSource,
    private readonly changes: Changes,
  ) {
    dataSource.subscribers.push(this);
  }

  afterInsert({ metadata, queryRunner }: InsertEvent<unknown>): void {
    this.take(metadata, queryRunner, null);
  }

  afterUpdate({ metadata, queryRunner, entity }: UpdateEvent<unknown>): void {
    const revision = (entity as { readonly revision?: unknown } | undefined)?.revision;
    this.take(metadata, queryRunner, typeof revision === 'number' ? revision : null);
  }

  afterRemove({ metadata, queryRunner }: RemoveEvent<unknown>): void {
    this.take(metadata, queryRunner, null);
  }

  afterTransactionCommit({ queryRunner }: TransactionCommitEvent): void {
    for (const change of this.uncommitted.get(queryRunner) ?? []) this.changes.tell(change);
    this.uncommitted.delete(queryRunner);
  }

  afterTransactionRollback({ queryRunner }: TransactionRollbackEvent): void {
    this.uncommitted.delete(queryRunner);
  }

  private take({ tableName }: EntityMetadata, queryRunner: QueryRunner, revision: number | null): void {
    if (!isChangedTable(tableName)) return;
    const changes = answersOf[tableName].map((path): Change => ({ path, revision }));
    if (!queryRunner.isTransactionActive) for (const change of changes) this.changes.tell(change);
    else this.uncommitted.set(queryRunner, [...(this.uncommitted.get(queryRunner) ?? []), ...changes]);
  }
}
