import type { Box, BoxId } from '@locutor/core/directory';
import type { GreetingId } from '@locutor/core/line';
import { Column, Entity, JoinColumn, ManyToOne } from 'typeorm';
import { GreetingEntity } from '../greetings/greeting.entity';
import { Row } from '../rows/row.entity';

@Entity('box')
export class BoxEntity extends Row<BoxId> implements Box {
  @Column('text')
  name: string;

  @Column('text', { nullable: true })
  greetingId: GreetingId | null;

  @ManyToOne(() => GreetingEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'greetingId' })
  greeting?: GreetingEntity;

  @Column('integer')
  longestMessageSeconds: number;
}
