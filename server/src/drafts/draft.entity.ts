import type { LineId } from '@locutor/core/line';
import { Column, Entity, JoinColumn, OneToOne, PrimaryColumn } from 'typeorm';
import { LineEntity } from '../lines/line.entity';

/** JSON as text. What is none is given back as it is: who reads it finds that it is no attendant, and says so. */
const jsonText = {
  to: (value: unknown): string => JSON.stringify(value),
  from: (text: string): unknown => {
    try {
      return JSON.parse(text);
    } catch {
      return text;
    }
  },
};

@Entity('draft')
export class DraftEntity {
  @PrimaryColumn('text')
  lineId: LineId;

  @OneToOne(() => LineEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'lineId' })
  line?: LineEntity;

  /** The document as stored; perhaps of an older schema version. */
  @Column('text', { transformer: jsonText })
  attendant: unknown;

  @Column('integer', { default: 1 })
  revision: number;

  /** In ms since 1970. */
  @Column('integer')
  savedAt: number;
}
