import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { groupDefaults, showPhoneNumber, type Country, type Group, type GroupId } from '@locutor/core/directory';
import { rotaProblem } from '@locutor/core/rota';
import { Repository } from 'typeorm';
import { ExtensionsService } from '../extensions/extensions.service';
import { HoursService } from '../hours/hours.service';
import { OwnNumbers } from '../lines/ownNumbers';
import { PeopleService } from '../people/people.service';
import { conflict, invalid } from '../problems/problem';
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

  private async checkRota({ name, rota, members }: Group): Promise<void> {
    const problem = rota ? rotaProblem(rota, members) : undefined;
    if (!problem) return;
    const at = 'rota';
    switch (problem.type) {
      case 'from':
        throw invalid([{ at, says: 'Say on which day the first turn begins, such as 2026-11-30.' }]);
      case 'handoverOn':
        throw invalid([{ at, says: 'Say on which weekdays the next turn begins, each once.' }]);
      case 'swapDate':
        throw invalid([{ at, says: 'A swap is for a day that there is not. Write it as 2026-12-24.' }]);
      case 'swapTwice':
        throw invalid([{ at, says: `${problem.date} is swapped twice. Say who is on call once.` }]);
      case 'noMember': {
        const person = (await this.people.list()).find(({ id }) => id === problem.personId);
        const who = person?.name ?? 'Somebody';
        throw invalid([
          { at, says: `${who} is in the rota, but is no member of ${name}. Add them to the members first.` },
        ]);
      }
    }
  }

  protected async check(group: Group): Promise<void> {
    await this.checkMembership(group);
    await this.checkRota(group);
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
