import type { Outcome, TranscriptEntry } from '@locutor/core/call';
import type { PersonId } from '@locutor/core/directory';
import type { CallId } from '@locutor/core/exchange';
import type { LineId } from '@locutor/core/line';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { AudioId } from '../audio/audioId';

/** A call as the log keeps it. What can be told from its transcript is not kept twice, but for what is searched. */
@Entity('call')
export class CallEntity {
  @PrimaryColumn('text')
  id: CallId;

  @Column('text')
  lineId: LineId;

  /** The version that answered; null for a call that came past the attendant before anything was on air. */
  @Column('text', { nullable: true })
  versionId: string | null;

  @Column('text')
  callerNumber: string;

  /** Who of the staff called; null for a caller from outside. */
  @Column('text', { nullable: true })
  staffCaller: PersonId | null;

  /** In ms since 1970, by the line's clock. */
  @Column('integer')
  startedAt: number;

  /** Null while it goes on. */
  @Column('integer', { nullable: true })
  endedAt: number | null;

  /** Whether the line's clock was a pretended one. */
  @Column('boolean')
  pretended: boolean;

  /** Null while it goes on. */
  @Column('text', { nullable: true })
  outcome: Outcome | null;

  /** Who answered last: the id of a person or contact, or a number; null for nobody. */
  @Column('text', { nullable: true })
  answeredBy: string | null;

  @Column('simple-json')
  transcript: TranscriptEntry[];

  /** The message that was left; null for none. */
  @Column('text', { nullable: true })
  messageId: string | null;

  /** What was recorded of it; null for nothing. */
  @Column('text', { nullable: true })
  recordingId: AudioId | null;

  @Column('integer', { default: 0 })
  recordingMs: number;
}
