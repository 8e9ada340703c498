import type { Person, PersonId } from '@locutor/core/directory';
import { Column, Entity } from 'typeorm';
import { Row } from '../rows/row.entity';

@Entity('person')
export class PersonEntity extends Row<PersonId> implements Person {
  @Column('text')
  name: string;

  @Column('text')
  extension: string;
}
