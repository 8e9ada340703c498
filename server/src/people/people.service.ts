import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { extensionTakenBy, type Person, type PersonId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { conflict } from '../problems/problem';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import { PersonEntity } from './person.entity';

@Injectable()
export class PeopleService extends RowsService<PersonId, PersonEntity> {
  constructor(@InjectRepository(PersonEntity) people: Repository<PersonEntity>, uses: UsesService) {
    super(people, uses);
  }

  protected async check(person: Person): Promise<void> {
    const other = extensionTakenBy(await this.list(), person.extension, person.id);
    if (other) throw conflict(`Extension ${person.extension} is ${other.name}’s already. Choose another.`);
  }
}
