import type { Greeting, GreetingId, TakeUse, VoiceId } from '@locutor/core/line';
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

  /** A recording that is heard in place of the voice. */
  @Column('simple-json', { nullable: true })
  take: TakeUse | null;
}
