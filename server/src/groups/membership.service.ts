import { memberTwice, type Membership } from '@locutor/core/directory';
import type { ReferredId } from '@locutor/core/line';
import type { Repository } from 'typeorm';
import { ExtensionsService } from '../extensions/extensions.service';
import { HoursService } from '../hours/hours.service';
import { PeopleService } from '../people/people.service';
import { invalid } from '../problems/problem';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import type { MembershipRow } from './membership.entity';

/** What groups and queues have in common: nobody is a member twice, everybody exists, and the extension is free. */
export abstract class MembershipService<
  RowId extends string & ReferredId,
  Entity extends MembershipRow<RowId>,
> extends RowsService<RowId, Entity> {
  protected constructor(
    rows: Repository<Entity>,
    uses: UsesService,
    protected readonly extensions: ExtensionsService,
    protected readonly people: PeopleService,
    private readonly hours: HoursService,
  ) {
    super(rows, uses);
  }

  protected async checkMembership(row: Membership & { id: string; name: string; extension: string }): Promise<void> {
    const { name, extension, members, hoursId } = row;
    const people = new Map((await this.people.list()).map((person) => [person.id as string, person]));
    const twice = memberTwice(members);
    if (twice) {
      throw invalid([{ at: 'members', says: `${people.get(twice)?.name ?? 'Somebody'} is in ${name} twice.` }]);
    }
    if (members.some(({ personId }) => !people.has(personId))) {
      throw invalid([{ at: 'members', says: `A member of ${name} is not in the directory any more.` }]);
    }
    if (hoursId) await this.hours.get(hoursId);
    await this.extensions.mustBeFree(extension, row);
  }
}
