import type { LineId } from '@locutor/core/line';
import { Column, Entity, JoinColumn, OneToOne, PrimaryColumn } from 'typeorm';
import { LineEntity } from '../lines/line.entity';

@Entity('draft')
export class DraftEntity {
  @PrimaryColumn('text')
  lineId: LineId;

  @OneToOne(() => LineEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'lineId' })
  line?: LineEntity;

  /** The document as stored; perhaps of an older schema version. */
  @Column('simple-json')
  attendant: unknown;

  @Column('integer', { default: 1 })
  revision: number;

  /** In ms since 1970. */
  @Column('integer')
  savedAt: number;
}
