import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Texts that are recorded one after the other, today or tomorrow; what of them is done follows from the takes. */
@Entity('recording_session')
export class SessionEntity {
  @PrimaryColumn('text')
  id: string;

  @Column('text')
  name: string;

  /** The places of what is recorded, in their order. */
  @Column('simple-json')
  places: string[];

  /** In ms since 1970: takes made since then are of it. */
  @Column('integer')
  madeAt: number;
}
