import type { LineId } from '@locutor/core/line';
import type { VersionId } from '../versions/versionId';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What is to go on air on a line at a chosen time; at most one for each line. */
@Entity('planned_airing')
export class PlannedAiringEntity {
  @PrimaryColumn('text')
  lineId: LineId;

  /** The attendant as it was looked at when this was planned. */
  @Column('simple-json')
  attendant: unknown;

  /** The earlier version that is to go back on air; null where it is the draft. */
  @Column('text', { nullable: true })
  versionId: VersionId | null;

  @Column('integer')
  draftRevision: number;

  /** When it goes on air, in ms since 1970. */
  @Column('integer')
  at: number;

  @Column('text')
  by: string;

  @Column('text')
  note: string;

  /** When it was planned. */
  @Column('integer')
  madeAt: number;

  @Column('integer', { default: 1 })
  revision: number;

  /** Why it did not go on air when its time came, in words; null while it waits. */
  @Column('text', { nullable: true })
  problem: string | null;
}
