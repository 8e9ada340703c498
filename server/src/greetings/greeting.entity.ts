import type { Greeting, GreetingId, VoiceId } from '@locutor/core/line';
import { Column, Entity } from 'typeorm';
import { Row } from '../rows/row.entity';

@Entity('greeting')
export class GreetingEntity extends Row<GreetingId> implements Greeting {
  @Column('text')
  name: string;

  @Column('text')
  words: string;

  @Column('text')
  voice: VoiceId;
}
