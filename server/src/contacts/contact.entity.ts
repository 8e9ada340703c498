import type { Contact, ContactId, E164 } from '@locutor/core/directory';
import { Column, Entity } from 'typeorm';
import { Row } from '../rows/row.entity';

@Entity('contact')
export class ContactEntity extends Row<ContactId> implements Contact {
  @Column('text')
  name: string;

  @Column('text')
  number: E164;

  @Column('text', { nullable: true })
  serviceFrom: string | null;

  @Column('text', { nullable: true })
  serviceUntil: string | null;
}
