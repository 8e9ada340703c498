import type { DatedWeek, Hours, HoursId, Period, Season, SpecialDate, WeekSpan } from '@locutor/core/hours';
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

  @Column('simple-json', { default: '[]' })
  datedWeeks: DatedWeek[];

  @Column('simple-json', { default: '[]' })
  seasons: Season[];

  @Column('simple-json', { default: '[]' })
  special: SpecialDate[];

  @Column('boolean', { default: true })
  breaksSaid: boolean;

  @Column('integer', { default: 1 })
  revision: number;
}
