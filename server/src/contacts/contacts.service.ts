import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Contact, ContactId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { OwnNumbers } from '../lines/ownNumbers';
import { invalid } from '../problems/problem';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import { ContactEntity } from './contact.entity';

@Injectable()
export class ContactsService extends RowsService<ContactId, ContactEntity> {
  protected override readonly listed = 'contacts';
  constructor(
    @InjectRepository(ContactEntity) contacts: Repository<ContactEntity>,
    uses: UsesService,
    private readonly ownNumbers: OwnNumbers,
  ) {
    super(contacts, uses);
  }

  protected async check({ name, number, serviceFrom, serviceUntil }: Contact): Promise<void> {
    if (serviceFrom && serviceUntil && serviceUntil < serviceFrom) {
      throw invalid([{ at: 'serviceUntil', says: `${name} would be out of service before it is in service.` }]);
    }
    await this.ownNumbers.mustNotBe(number);
  }
}
