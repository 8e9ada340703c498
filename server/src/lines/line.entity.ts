import type { HoursId, TimeZone } from '@locutor/core/hours';
import type { Line, LineId, OperatorId } from '@locutor/core/line';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import { HoursEntity } from '../hours/hours.entity';
import type { VersionId } from '../versions/versionId';

@Entity('line')
export class LineEntity implements Line {
  @PrimaryColumn('text')
  id: LineId;

  @Column('text')
  name: string;

  @Column('text', { unique: true })
  number: string;

  @Column('text')
  timeZone: TimeZone;

  @Column('text')
  hoursId: HoursId;

  @ManyToOne(() => HoursEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'hoursId' })
  hours?: HoursEntity;

  @Column('text', { nullable: true })
  serviceFrom: string | null;

  @Column('text', { nullable: true })
  serviceUntil: string | null;

  /** Where emergency services find whoever calls them from the line; empty for none on record. */
  @Column('text', { default: '' })
  emergencyAddress: string;

  /** Who operates the line, a person or a group; null for nobody yet. */
  @Column('text', { nullable: true })
  operatorId: OperatorId | null;

  /** The version that callers hear; null while nothing is on air. */
  @Column('text', { nullable: true })
  onAirVersionId: VersionId | null;

  @Column('integer', { default: 1 })
  revision: number;
}
