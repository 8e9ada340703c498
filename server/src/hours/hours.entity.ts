import type { Hours, HoursId, Period, WeekSpan } from '@locutor/core/hours';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('hours')
export class HoursEntity implements Hours {
  @PrimaryColumn('text')
  id: HoursId;

  @Column('text')
  name: string;

  @Column('simple-json')
  periods: Period[];

  @Column('simple-json')
  week: WeekSpan[];

  @Column('integer', { default: 1 })
  revision: number;
}
