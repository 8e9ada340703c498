import type { Recipe, SoundFault } from '@locutor/core/audio';
import type { RecordedTake, TakeId, TakeSays, TakeVerdict } from '@locutor/core/line';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import type { AudioId } from '../audio/audioId';
import type { Made } from '../sounds/soundTask';

/** How a take came to be. */
export const takeSources = ['microphone', 'phone', 'file'] as const;
export type TakeSource = (typeof takeSources)[number];

/** A recording of a greeting or of a part of a sheet. What it was made from is kept as it came. */
@Entity('take')
export class TakeEntity implements RecordedTake {
  @PrimaryColumn('text')
  id: TakeId;

  /** What it is a recording of: a greeting, or a line, a sheet of it and a part of that. */
  @Index()
  @Column('text')
  place: string;

  @Column('text')
  source: TakeSource;

  /** The name of the file it was brought as; empty where it was recorded here. */
  @Column('text')
  fileName: string;

  /** In ms since 1970. */
  @Column('integer')
  madeAt: number;

  /** The file as it came. */
  @Column('text')
  originalId: AudioId;

  /** The recording itself: one channel, 16 bits, at its own rate. */
  @Column('text')
  recordingId: AudioId;

  /** What callers hear: G.711 mu-law, 8 kHz. */
  @Column('text')
  audioId: AudioId;

  @Column('integer')
  lengthMs: number;

  @Column('simple-json')
  recipe: Recipe;

  @Column('simple-json')
  made: Made;

  @Column('simple-json')
  faults: readonly SoundFault[];

  /** All that is heard, as text. */
  @Column('text')
  text: string;

  /** What it says, as it was when it was made, or was last marked as right. */
  @Column('simple-json')
  says: TakeSays;

  /** What is known of whether it says that; null until it was listened to. */
  @Column('simple-json', { nullable: true })
  verdict: TakeVerdict | null;

  @Column('integer', { nullable: true })
  deletedAt: number | null;
}
