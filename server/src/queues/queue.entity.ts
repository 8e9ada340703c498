import type { ExitKey, OfferOrder, Queue, QueueId, WaitingPart } from '@locutor/core/directory';
import type { GreetingId } from '@locutor/core/line';
import { Column, Entity, JoinColumn, ManyToOne } from 'typeorm';
import { GreetingEntity } from '../greetings/greeting.entity';
import { MembershipRow } from '../groups/membership.entity';

@Entity('call_queue')
export class QueueEntity extends MembershipRow<QueueId> implements Queue {
  @Column('text')
  order: OfferOrder;

  @Column('text')
  entryWords: string;

  @Column('simple-json')
  waiting: WaitingPart[];

  @Column('integer', { nullable: true })
  placeEverySeconds: number | null;

  @Column('boolean')
  saysExpectedWait: boolean;

  @Column('integer')
  retrySeconds: number;

  @Column('integer')
  mostCallers: number;

  @Column('integer')
  longestWaitSeconds: number;

  @Column('text', { nullable: true })
  exitKey: ExitKey | null;

  @Column('text', { nullable: true })
  holdGreetingId: GreetingId | null;

  @ManyToOne(() => GreetingEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'holdGreetingId' })
  holdGreeting?: GreetingEntity;

  @Column('boolean')
  paused: boolean;
}
