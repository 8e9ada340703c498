import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { groupDefaults, showPhoneNumber, type Country, type Group, type GroupId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { ExtensionsService } from '../extensions/extensions.service';
import { HoursService } from '../hours/hours.service';
import { OwnNumbers } from '../lines/ownNumbers';
import { PeopleService } from '../people/people.service';
import { conflict } from '../problems/problem';
import { phoneNumberOf } from '../problems/fields';
import { definedOf } from '../rows/definedOf';
import { UsesService } from '../uses/uses.service';
import type { AddGroupDto, ChangeGroupDto } from './group.dto';
import { GroupEntity } from './group.entity';
import { MembershipService } from './membership.service';

@Injectable()
export class GroupsService extends MembershipService<GroupId, GroupEntity> {
  protected override readonly listed = 'groups';
  protected override readonly uniquelyNamed = 'group';

  constructor(
    @InjectRepository(GroupEntity) groups: Repository<GroupEntity>,
    uses: UsesService,
    extensions: ExtensionsService,
    people: PeopleService,
    hours: HoursService,
    private readonly ownNumbers: OwnNumbers,
  ) {
    super(groups, uses, extensions, people, hours);
  }

  async addGroup(id: GroupId, body: AddGroupDto): Promise<GroupEntity> {
    const fields = read(body, await this.ownNumbers.country());
    return this.add({ ...groupDefaults, members: [], ...fields, name: body.name, id });
  }

  async changeGroup(id: GroupId, revision: number, changes: Omit<ChangeGroupDto, 'revision'>): Promise<GroupEntity> {
    return this.change(id, revision, read(changes, await this.ownNumbers.country()));
  }

  protected async check(group: Group): Promise<void> {
    await this.checkMembership(group);
    await this.extensions.codeMustBeFree(group.speakerCode, group);
    if (group.directNumber === '') return;
    await this.ownNumbers.mustNotBe(group.directNumber);
    const other = (await this.list()).find(
      ({ id, directNumber }) => directNumber === group.directNumber && id !== group.id,
    );
    if (!other) return;
    throw conflict(
      `${showPhoneNumber(group.directNumber)} is the direct number of ${other.name} already. Type another.`,
    );
  }
}

/** What was sent as it is kept: the number as E.164. */
function read(
  { directNumber, ...others }: Omit<ChangeGroupDto, 'revision'>,
  country: Country | undefined,
): Partial<GroupEntity> {
  if (directNumber === undefined) return definedOf(others);
  return { ...definedOf(others), directNumber: directNumber === '' ? '' : phoneNumberOf(directNumber, country) };
}
