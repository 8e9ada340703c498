import type { Greeting, LineId, RecordedTake } from '@locutor/core/line';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';
import { LineEntity } from '../lines/line.entity';
import type { FirstCall } from '@locutor/core/firstCalls';
import type { KeptDirectory } from './keptDirectory';
import type { VersionId } from './versionId';

/** What was put on air: a copy that nothing changes afterwards. */
@Entity('version')
export class VersionEntity {
  @PrimaryColumn('text')
  id: VersionId;

  @Column('text')
  lineId: LineId;

  @ManyToOne(() => LineEntity, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'lineId' })
  line?: LineEntity;

  /** 1 for the line's first, one more for each after it. */
  @Column('integer')
  number: number;

  @Column('simple-json')
  attendant: unknown;

  /** The library greetings that it says, as they were. */
  @Column('simple-json')
  greetings: Greeting[];

  /** The recordings that it is heard from, as they were. */
  @Column('simple-json')
  takes: RecordedTake[];

  /** What it referred to, as it was; null for versions of earlier releases. */
  @Column('simple-json', { nullable: true })
  directory: KeptDirectory | null;

  /** The checklist made from it as it last went on air. */
  @Column('simple-json', { default: '[]' })
  firstCalls: FirstCall[];

  /** When the checklist was made, in ms since 1970: what was ticked before belongs to another. */
  @Column('integer', { default: 0 })
  firstCallsAt: number;

  /** The number that it tells to ring; empty where that is not known. */
  @Column('text', { default: '' })
  firstCallsNumber: string;

  /** The draft's revision that it was made from. */
  @Column('integer')
  draftRevision: number;

  /** When it last went on air, in ms since 1970. */
  @Column('integer')
  onAirAt: number;
}
