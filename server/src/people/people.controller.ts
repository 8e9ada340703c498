import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { personId, type PersonId } from '@locutor/core/directory';
import { newId } from '../rows/newId';
import { AddPersonDto, ChangePersonDto } from './person.dto';
import type { PersonEntity } from './person.entity';
import { PeopleService } from './people.service';

@ApiTags('Directory')
@Controller('api/people')
export class PeopleController {
  constructor(private readonly people: PeopleService) {}

  @Get()
  list(): Promise<PersonEntity[]> {
    return this.people.list();
  }

  @Post()
  add(@Body() body: AddPersonDto): Promise<PersonEntity> {
    return this.people.add({ id: newId(personId), ...body });
  }

  @Patch(':id')
  change(@Param('id') id: PersonId, @Body() { revision, ...changes }: ChangePersonDto): Promise<PersonEntity> {
    return this.people.change(id, revision, changes);
  }

  /** Refused with its uses while the draft or what is on air still needs it. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: PersonId): Promise<void> {
    return this.people.remove(id);
  }

  /** Takes a deletion back. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: PersonId): Promise<PersonEntity> {
    return this.people.restore(id);
  }
}
