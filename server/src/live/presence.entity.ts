import type { PersonId } from '@locutor/core/directory';
import type { Presence } from '@locutor/core/exchange';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What somebody said of themselves on their desk phone: kept when the server starts again. */
@Entity('presence')
export class PresenceEntity {
  @PrimaryColumn('text')
  personId: PersonId;

  @Column('text')
  presence: Presence;
}
