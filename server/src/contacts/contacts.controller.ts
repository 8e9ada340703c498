import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { contactId, type ContactId } from '@locutor/core/directory';
import { OwnNumbers } from '../lines/ownNumbers';
import { phoneNumberOf } from '../problems/fields';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddContactDto, ChangeContactDto } from './contact.dto';
import type { ContactEntity } from './contact.entity';
import { ContactsService } from './contacts.service';

@ApiTags('Directory')
@Controller('api/contacts')
export class ContactsController extends RowsController<ContactId, ContactEntity> {
  constructor(
    contacts: ContactsService,
    private readonly ownNumbers: OwnNumbers,
  ) {
    super(contacts);
  }

  @Post()
  async add(@Body() { name, number, serviceFrom = null, serviceUntil = null }: AddContactDto): Promise<ContactEntity> {
    const whole = phoneNumberOf(number, await this.ownNumbers.country());
    return this.rows.add({ id: newId(contactId), name, number: whole, serviceFrom, serviceUntil });
  }

  @Patch(':id')
  async change(
    @Param('id') id: ContactId,
    @Body() { revision, number, ...changes }: ChangeContactDto,
  ): Promise<ContactEntity> {
    const read =
      number === undefined ? changes : { ...changes, number: phoneNumberOf(number, await this.ownNumbers.country()) };
    return this.rows.change(id, revision, read);
  }
}
