import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { contactId, type ContactId } from '@locutor/core/directory';
import { phoneNumberOf } from '../problems/fields';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddContactDto, ChangeContactDto } from './contact.dto';
import type { ContactEntity } from './contact.entity';
import { ContactsService } from './contacts.service';

@ApiTags('Directory')
@Controller('api/contacts')
export class ContactsController extends RowsController<ContactId, ContactEntity> {
  constructor(contacts: ContactsService) {
    super(contacts);
  }

  @Post()
  add(@Body() { name, number, serviceFrom = null, serviceUntil = null }: AddContactDto): Promise<ContactEntity> {
    return this.rows.add({ id: newId(contactId), name, number: phoneNumberOf(number), serviceFrom, serviceUntil });
  }

  @Patch(':id')
  change(
    @Param('id') id: ContactId,
    @Body() { revision, number, ...changes }: ChangeContactDto,
  ): Promise<ContactEntity> {
    const read = number === undefined ? changes : { ...changes, number: phoneNumberOf(number) };
    return this.rows.change(id, revision, read);
  }
}
