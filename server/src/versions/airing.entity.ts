import type { LineId } from '@locutor/core/line';
import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';
import type { VersionId } from './versionId';

/** How a version came on air. */
export type AiredHow = 'now' | 'planned' | 'putBack' | 'putBackPlanned';

/** One time at which a version went on air. */
@Entity('airing')
export class AiringEntity {
  @PrimaryGeneratedColumn()
  id: number;

  @Column('text')
  lineId: LineId;

  @Column('text')
  versionId: VersionId;

  /** In ms since 1970. */
  @Column('integer')
  at: number;

  /** Who did it; empty for versions of earlier releases. */
  @Column('text')
  by: string;

  @Column('text')
  note: string;

  @Column('text')
  how: AiredHow;
}
