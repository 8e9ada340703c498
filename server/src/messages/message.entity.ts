import type { BoxId, Tell } from '@locutor/core/directory';
import type { Id } from '@locutor/core/id';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import type { AudioId } from '../audio/audioId';

export type MessageId = Id<'message'>;

/** A message that a caller left in a box. */
@Entity('message')
export class MessageEntity {
  @PrimaryColumn('text')
  id: MessageId;

  @Column('text')
  boxId: BoxId;

  @ManyToOne(() => BoxEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'boxId' })
  box?: BoxEntity;

  @Column('text')
  callerNumber: string;

  /** In ms since 1970. */
  @Column('integer')
  leftAt: number;

  /** Whether the call was a trial of the draft. */
  @Column('boolean')
  trial: boolean;

  @Column('integer')
  lengthMs: number;

  @Column('text')
  audioId: AudioId;

  /** Who is told of it. */
  @Column('simple-json')
  tell: Tell[];

  @Column('boolean', { default: false })
  heard: boolean;

  /** Whether nobody spoke: nobody is told of such a message. */
  @Column('boolean', { default: false })
  silent: boolean;

  /** What was typed in place of speaking, as a handset of the live line can; empty for nothing. */
  @Column('text', { default: '' })
  words: string;

  @Column('integer', { nullable: true })
  deletedAt: number | null;
}
