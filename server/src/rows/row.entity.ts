import { Column, PrimaryColumn, type ObjectLiteral } from 'typeorm';

/** A row that several windows may change, and whose deletion can be undone. */
export abstract class Row<RowId extends string> implements ObjectLiteral {
  @PrimaryColumn('text')
  id: RowId;

  /** One more at each change; a change must name the one it started from. */
  @Column('integer', { default: 1 })
  revision: number;

  /** When it was deleted, in ms since 1970; null while it is there. */
  @Column('integer', { nullable: true })
  deletedAt: number | null;
}
