import type { Switch, SwitchTo } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { Column, Entity, PrimaryGeneratedColumn } from 'typeorm';

/** One setting of a line's switch. */
@Entity('switch')
export class SwitchEntity implements Switch {
  @PrimaryGeneratedColumn()
  id: number;

  @Column('text')
  lineId: LineId;

  @Column('simple-json')
  to: SwitchTo;

  @Column('integer')
  fromMs: number;

  @Column('integer')
  untilMs: number;

  @Column('text')
  words: string;

  @Column('text')
  by: string;

  /** When somebody ended it before its time, in ms since 1970; null when nobody did. */
  @Column('integer', { nullable: true })
  endedAt: number | null;

  /** Who ended it. */
  @Column('text', { default: '' })
  endedBy: string;
}
