import type { LineId } from '@locutor/core/line';
import type { Expectation, Rehearsal, RehearsalId, Scene, TracedEntry } from '@locutor/core/rehearsals';
import { Column, Entity } from 'typeorm';
import { Row } from '../rows/row.entity';

/** A saved trial call of a line. */
@Entity('rehearsal')
export class RehearsalEntity extends Row<RehearsalId> implements Rehearsal {
  @Column('text')
  lineId: LineId;

  @Column('text')
  name: string;

  @Column('simple-json')
  scene: Scene;

  @Column('simple-json')
  expects: Expectation[];

  @Column('simple-json', { nullable: true })
  was: TracedEntry[] | null;
}
