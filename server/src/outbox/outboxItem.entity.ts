import type { Id } from '@locutor/core/id';
import { Column, Entity, PrimaryColumn } from 'typeorm';

export type OutboxItemId = Id<'out'>;

/** What became of something in the Outbox. */
export type OutboxState =
  /** It stays here: no mail server is set up, or it is a text. */
  | 'kept'
  /** To be tried, or tried again. */
  | 'waiting'
  | 'sent'
  /** Tried often enough. */
  | 'failed';

/** An e-mail or a text, as it was sent. */
@Entity('outbox_item')
export class OutboxItemEntity {
  @PrimaryColumn('text')
  id: OutboxItemId;

  @Column('text')
  kind: 'email' | 'text';

  /** An e-mail address or a telephone number. */
  @Column('text')
  to: string;

  @Column('text')
  toName: string;

  @Column('text')
  subject: string;

  @Column('text')
  text: string;

  /** The message it tells of. */
  @Column('text', { nullable: true })
  messageId: string | null;

  @Column('boolean')
  hasAudio: boolean;

  /** In ms since 1970. */
  @Column('integer')
  madeAt: number;

  @Column('text')
  state: OutboxState;

  @Column('integer')
  attempts: number;

  /** Why the last attempt failed; empty when it did not. */
  @Column('text')
  problem: string;

  /** When it is tried next, in ms since 1970; null for not again. */
  @Column('integer', { nullable: true })
  nextTryAt: number | null;

  @Column('integer', { nullable: true })
  sentAt: number | null;
}
