import type { Budget, Rates } from '@locutor/core/cost';
import type { ReportPlan, SavedSpan } from '@locutor/core/traffic';
import { usualHoldMusic, type HoldMusic } from '@locutor/core/line';
import type { OutgoingLimits } from '@locutor/core/directory';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** How mail is sent, and how long things are kept: one row for the whole business. */
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

  /** Deleted messages and recordings can be had back for so many days. */
  @Column('integer', { default: 30 })
  keepDeletedDays: number;

  /** Sentences that a voice has spoken are kept so long after they were last heard, and at most so much of them. */
  @Column('integer', { default: 90 })
  keepSpokenDays: number;

  @Column('integer', { default: 500 })
  mostSpokenMegabytes: number;

  /** How long callers may be without a person, a message or a place in a queue, in s, before the proof speaks of it. */
  @Column('integer', { default: 180 })
  mostAloneSeconds: number;

  /** What is played to those who wait or are on hold. */
  @Column('text', { default: usualHoldMusic })
  holdMusic: HoldMusic;

  /** What outside numbers may be called, and how many at once. */
  @Column('simple-json')
  outgoing: OutgoingLimits;

  /** What calls cost. */
  @Column('simple-json')
  rates: Rates;

  /** What they may cost in a month; null where nobody minds. */
  @Column('simple-json', { nullable: true })
  budget: Budget | null;

  /** Spans of Traffic that are kept by a name. */
  @Column('simple-json')
  savedSpans: readonly SavedSpan[];

  /** Who gets a report of Traffic, and how often. */
  @Column('simple-json')
  report: ReportPlan;

  @Column('integer', { default: 1 })
  revision: number;
}
