import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  personDefaults,
  personId,
  type Country,
  type Person,
  type PersonId,
  type PersonPhone,
} from '@locutor/core/directory';
import { DataSource, Repository } from 'typeorm';
import { ExtensionsService } from '../extensions/extensions.service';
import { HoursService } from '../hours/hours.service';
import { OwnNumbers } from '../lines/ownNumbers';
import { invalid } from '../problems/problem';
import { phoneNumberOf } from '../problems/fields';
import { definedOf } from '../rows/definedOf';
import { newId } from '../rows/newId';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import type { AddPersonDto, ChangePersonDto, PersonPhoneDto, TakeInPersonDto } from './person.dto';
import { PersonEntity } from './person.entity';

type Changes = Partial<Omit<ChangePersonDto, 'revision'>>;

@Injectable()
export class PeopleService extends RowsService<PersonId, PersonEntity> {
  protected override readonly listed = 'people';
  constructor(
    @InjectRepository(PersonEntity) people: Repository<PersonEntity>,
    uses: UsesService,
    private readonly hours: HoursService,
    private readonly ownNumbers: OwnNumbers,
    private readonly extensions: ExtensionsService,
    private readonly database: DataSource,
  ) {
    super(people, uses);
  }

  async addPerson(id: PersonId, body: AddPersonDto): Promise<PersonEntity> {
    return this.add({ ...newPerson(body, await this.ownNumbers.country()), id });
  }

  async changePerson(id: PersonId, revision: number, changes: Changes): Promise<PersonEntity> {
    return this.change(id, revision, read(changes, await this.ownNumbers.country()));
  }

  /** Adds those without an id and changes those with one. @throws Problem, with nothing kept, when one of them is refused. */
  async takeIn(people: readonly TakeInPersonDto[]): Promise<PersonEntity[]> {
    const before = await this.list();
    const country = await this.ownNumbers.country();
    const after = people.reduce<readonly Person[]>((all, each) => taken(all, each, country), before);
    for (const person of after) await this.checkAmong(person, after);
    await this.foresight.mustNotBreak({ people: after });
    const isChanged = (person: Person): boolean => !before.includes(person as PersonEntity);
    await this.database.transaction(async (rows) => {
      // Extensions may be exchanged: those that change are freed first, since no two may be the same at any time.
      const known = after.filter((person) => isChanged(person) && before.some(({ id }) => id === person.id));
      for (const { id } of known) await rows.update(PersonEntity, { id }, { extension: id });
      for (const person of after.filter(isChanged)) {
        const revision = (before.find(({ id }) => id === person.id)?.revision ?? 0) + 1;
        await rows.save(PersonEntity, { ...person, revision, deletedAt: null } as PersonEntity);
      }
    });
    return this.list();
  }

  protected async check(person: Person): Promise<void> {
    return this.checkAmong(person, await this.list());
  }

  private async checkAmong(person: Person, everybody: readonly Person[]): Promise<void> {
    await this.extensions.mustBeFree(person.extension, person, everybody);
    for (const { hoursId } of [person, ...person.phones]) if (hoursId) await this.hours.get(hoursId);
    for (const phone of person.phones) if (phone.type === 'outside') await this.ownNumbers.mustNotBe(phone.number);
  }
}

/** Everybody, with one more person taken in. */
function taken(
  everybody: readonly Person[],
  { id, ...body }: TakeInPersonDto,
  country: Country | undefined,
): readonly Person[] {
  const known = everybody.find((person) => person.id === id);
  if (known) return everybody.map((person) => (person === known ? { ...known, ...read(body, country) } : person));
  const { name, extension } = body;
  if (id || name === undefined || extension === undefined) {
    throw invalid([{ at: 'people', says: 'Somebody new needs a name and an extension.' }]);
  }
  return [...everybody, { ...newPerson({ ...body, name, extension }, country), id: newId(personId) }];
}

function newPerson(
  body: AddPersonDto,
  country: Country | undefined,
): Omit<PersonEntity, 'id' | 'revision' | 'deletedAt'> {
  const { name, extension, ...details } = body;
  return { ...personDefaults, phones: [...personDefaults.phones], ...read(details, country), name, extension };
}

/** What was sent as it is kept: numbers as E.164, and of a phone only what its kind has. */
function read({ phones, mobile, ...others }: Changes, country: Country | undefined): Partial<PersonEntity> {
  return {
    ...definedOf(others),
    ...(phones ? { phones: phones.map((phone) => phoneOf(phone, country)) } : {}),
    ...(mobile === undefined ? {} : { mobile: mobile === '' ? '' : phoneNumberOf(mobile, country) }),
  };
}

function phoneOf(
  { type, seconds, number, accept, onCallOnly, hoursId }: PersonPhoneDto,
  country: Country | undefined,
): PersonPhone {
  const when = { ...(onCallOnly && ({ onCallOnly } as const)), ...(hoursId && { hoursId }) };
  if (type === 'desk') return { type, seconds, ...when };
  if (number === undefined) throw invalid([{ at: 'phones', says: 'An outside phone needs a number.' }]);
  return { type, seconds, number: phoneNumberOf(number, country), accept: accept ?? true, ...when };
}
