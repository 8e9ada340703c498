import type { E164, Group, GroupId, GroupOrder, Rota } from '@locutor/core/directory';
import { Column, Entity } from 'typeorm';
import { MembershipRow } from './membership.entity';

@Entity('ring_group')
export class GroupEntity extends MembershipRow<GroupId> implements Group {
  @Column('text')
  directNumber: E164 | '';

  @Column('text')
  order: GroupOrder;

  @Column('simple-json', { nullable: true })
  rota: Rota | null;

  @Column('integer', { nullable: true })
  inAllSeconds: number | null;

  @Column('text')
  speakerCode: string;
}
