import type { Member, Membership, RingsOn } from '@locutor/core/directory';
import type { HoursId } from '@locutor/core/hours';
import { Column, JoinColumn, ManyToOne } from 'typeorm';
import { HoursEntity } from '../hours/hours.entity';
import { Row } from '../rows/row.entity';

/** What the rows of groups and queues have in common. */
export abstract class MembershipRow<RowId extends string> extends Row<RowId> implements Membership {
  @Column('text')
  name: string;

  @Column('text')
  extension: string;

  @Column('simple-json')
  members: Member[];

  @Column('integer')
  memberSeconds: number;

  @Column('integer')
  restSeconds: number;

  @Column('text')
  ringsOn: RingsOn;

  @Column('boolean')
  workingOnly: boolean;

  @Column('text')
  closedWords: string;

  @Column('text')
  specialWords: string;

  @Column('text', { nullable: true })
  hoursId: HoursId | null;

  @ManyToOne(() => HoursEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'hoursId' })
  hours?: HoursEntity;
}
