import { usualHoldMusic, type HoldMusicId } from '@locutor/core/line';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How mail is sent, and how long calls are kept: one row for the whole business. */
@Entity('settings')
export class SettingsEntity {
  @PrimaryColumn('text')
  id: 'business';

  /** The host of an SMTP server; empty while mail only goes to the Outbox. */
  @Column('text')
  mailHost: string;

  @Column('integer')
  mailPort: number;

  /** Whether the connection is encrypted from its beginning (RFC 8314); otherwise as soon as the server offers it. */
  @Column('boolean')
  mailSecure: boolean;

  @Column('text')
  mailUser: string;

  /** Never sent back. */
  @Column('text', { select: false })
  mailPassword: string;

  /** Whom mail comes from. */
  @Column('text')
  mailFrom: string;

  /** Calls and what was recorded of them are forgotten after so many days. */
  @Column('integer')
  keepCallsDays: number;

  /** What is played to those who wait or are on hold. */
  @Column('text', { default: usualHoldMusic })
  holdMusic: HoldMusicId;

  @Column('integer', { default: 1 })
  revision: number;
}
