import type { LineId } from '@locutor/core/line';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Somebody's yes to a caution of the proof, or a tip that was silenced, on one line. */
@Entity('accepted_finding')
export class AcceptedEntity {
  @PrimaryColumn('text')
  lineId: LineId;

  /** The key of the finding. */
  @PrimaryColumn('text')
  key: string;

  /** Why it may stay as it is; may be empty for a tip. */
  @Column('text')
  reason: string;

  @Column('text')
  by: string;

  /** In ms since 1970. */
  @Column('integer')
  at: number;
}
