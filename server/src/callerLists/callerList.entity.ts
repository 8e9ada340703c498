import type { CallerList, CallerListId, CallerListKind } from '@locutor/core/directory';
import { Column, Entity } from 'typeorm';
import { Row } from '../rows/row.entity';

@Entity('caller_list')
export class CallerListEntity extends Row<CallerListId> implements CallerList {
  @Column('text')
  name: string;

  @Column('text')
  kind: CallerListKind;

  @Column('simple-json')
  patterns: string[];

  @Column('boolean')
  anonymous: boolean;
}
