import type { VoiceId } from '@locutor/core/line';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { AudioId } from '../audio/audioId';

/** A sentence that a voice has spoken before, so that it need not again. */
@Entity('spoken_sentence')
export class SpokenSentenceEntity {
  @PrimaryColumn('text')
  voice: VoiceId;

  @PrimaryColumn('text')
  text: string;

  @Column('text')
  audioId: AudioId;

  @Column('integer')
  lengthMs: number;

  /** When it was last asked for, in ms since 1970, to within a day. */
  @Column('integer', { default: 0 })
  usedAt: number;
}
