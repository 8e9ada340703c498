import type { FirstCallState } from '@locutor/core/firstCalls';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { VersionId } from '../versions/versionId';

/** A line of a version's checklist that somebody has gone through. */
@Entity('first_call')
export class FirstCallEntity {
  @PrimaryColumn('text')
  versionId: VersionId;

  @PrimaryColumn('text')
  itemId: string;

  @Column('text')
  state: FirstCallState;

  @Column('text')
  note: string;

  @Column('text')
  by: string;

  /** In ms since 1970. */
  @Column('integer')
  at: number;
}
