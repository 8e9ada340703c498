import type { Language, TakeSays, TakeUse, TextRecording } from '@locutor/core/line';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A recording of a text; at most one of each. */
@Entity('text_recording')
export class TextRecordingEntity implements TextRecording {
  /** As `placeOfText` has it. */
  @PrimaryColumn('text')
  place: string;

  @Column('text')
  language: Language;

  @Column('text')
  words: string;

  @Column('simple-json')
  take: TakeUse;

  @Column('simple-json')
  live: TakeSays['live'];
}
