import type { Box, BoxId, PersonId, Tell } from '@locutor/core/directory';
import type { GreetingId } from '@locutor/core/line';
import { Column, Entity, JoinColumn, ManyToOne } from 'typeorm';
import { GreetingEntity } from '../greetings/greeting.entity';
import { PersonEntity } from '../people/person.entity';
import { Row } from '../rows/row.entity';

@Entity('box')
export class BoxEntity extends Row<BoxId> implements Box {
  @Column('text')
  name: string;

  @Column('text', { nullable: true })
  ownerId: PersonId | null;

  @ManyToOne(() => PersonEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'ownerId' })
  owner?: PersonEntity;

  @Column('text', { nullable: true })
  greetingId: GreetingId | null;

  @ManyToOne(() => GreetingEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'greetingId' })
  greeting?: GreetingEntity;

  @Column('boolean')
  beep: boolean;

  @Column('integer')
  longestMessageSeconds: number;

  @Column('simple-json')
  tell: Tell[];

  @Column('text', { default: '' })
  code: string;
}
