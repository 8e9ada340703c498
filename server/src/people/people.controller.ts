import { Body, Controller, Param, Patch, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { personId, type PersonId } from '@locutor/core/directory';
import type { HoursEntity } from '../hours/hours.entity';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddPersonDto, ChangePersonDto, OwnHoursDto, TakeInPeopleDto } from './person.dto';
import { PersonEntity } from './person.entity';
import { OwnHoursService } from './ownHours.service';
import { PeopleService } from './people.service';

@ApiTags('Directory')
@Controller('api/people')
export class PeopleController extends RowsController<PersonId, PersonEntity, PeopleService> {
  constructor(
    people: PeopleService,
    private readonly ownHours: OwnHoursService,
  ) {
    super(people);
  }

  /** Adds a person; what is not said is as it is for most: a phone on the desk, found by name, no hours of their own. */
  @Post()
  add(@Body() body: AddPersonDto): Promise<PersonEntity> {
    return this.rows.addPerson(newId(personId), body);
  }

  @Patch(':id')
  change(@Param('id') id: PersonId, @Body() { revision, ...changes }: ChangePersonDto): Promise<PersonEntity> {
    return this.rows.changePerson(id, revision, changes);
  }

  /** Changes when somebody works, by themselves, where the manager lets them. */
  @Put(':id/own-hours')
  setHours(@Param('id') id: PersonId, @Body() body: OwnHoursDto): Promise<HoursEntity> {
    return this.ownHours.set(id, body);
  }

  /** Adds and changes many at once, as from a spreadsheet or contact cards: all of it or, on a problem, nothing. */
  @Post('take-in')
  takeIn(@Body() body: TakeInPeopleDto): Promise<PersonEntity[]> {
    return this.rows.takeIn(body.people);
  }
}
