import type { E164, Person, PersonId, PersonPhone } from '@locutor/core/directory';
import type { HoursId } from '@locutor/core/hours';
import { Column, Entity, JoinColumn, ManyToOne } from 'typeorm';
import { HoursEntity } from '../hours/hours.entity';
import { Row } from '../rows/row.entity';

@Entity('person')
export class PersonEntity extends Row<PersonId> implements Person {
  @Column('text')
  name: string;

  @Column('text')
  extension: string;

  @Column('text')
  saidAs: string;

  @Column('simple-json')
  phones: PersonPhone[];

  @Column('text')
  email: string;

  @Column('text')
  mobile: E164 | '';

  @Column('boolean')
  inDirectory: boolean;

  @Column('text', { nullable: true })
  hoursId: HoursId | null;

  @Column('boolean')
  setsOwnHours: boolean;

  @ManyToOne(() => HoursEntity, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'hoursId' })
  hours?: HoursEntity;
}
