import { Injectable } from '@nestjs/common';
import type { HoursId } from '@locutor/core/hours';
import type { Attendant, Names, ReferredId } from '@locutor/core/line';
import { allUses, describeUse, idsInWords } from '@locutor/core/line';
import { DataSource, IsNull } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { CallerListEntity } from '../callerLists/callerList.entity';
import { ContactEntity } from '../contacts/contact.entity';
import { DraftEntity } from '../drafts/draft.entity';
import { storedAttendant } from '../drafts/storedAttendant';
import { GreetingEntity } from '../greetings/greeting.entity';
import { GroupEntity } from '../groups/group.entity';
import { HoursEntity } from '../hours/hours.entity';
import { LineEntity } from '../lines/line.entity';
import { PersonEntity } from '../people/person.entity';
import { QueueEntity } from '../queues/queue.entity';
import { VersionEntity } from '../versions/version.entity';

const named = [
  PersonEntity,
  GroupEntity,
  QueueEntity,
  BoxEntity,
  ContactEntity,
  CallerListEntity,
  GreetingEntity,
  LineEntity,
  HoursEntity,
];

/** Knows what everything is called, and where each thing is used. */
@Injectable()
export class UsesService {
  constructor(private readonly database: DataSource) {}

  /** The names of everything steps and rules refer to, by id; deleted ones too. */
  async names(): Promise<Names> {
    const rows = await Promise.all(named.map((entity) => this.namesIn(entity)));
    const hours = await this.database.getRepository(HoursEntity).find();
    const all = [...rows.flat(), ...hours.flatMap((each) => [...each.periods, ...each.special])];
    return Object.fromEntries(all.map(({ id, name }) => [id, name]));
  }

  private namesIn(entity: (typeof named)[number]): Promise<readonly { readonly id: string; readonly name: string }[]> {
    const rows = this.database.getRepository<{ id: string; name: string }>(entity).createQueryBuilder('row');
    return rows.select('row.id', 'id').addSelect('row.name', 'name').getRawMany();
  }

  /** Where something is used by a draft, by what is on air, by a box, a group or a queue, in words. */
  async of(id: ReferredId): Promise<readonly string[]> {
    return (await this.all()).get(id) ?? [];
  }

  /**
   * Which uses of something go when another takes its place, or when it is taken out of groups, queues, boxes and lists,
   * and which are left. What is on air stays as it is.
   */
  async goesWith(
    id: ReferredId,
    how: 'replaced' | 'out',
  ): Promise<{ readonly replaced: readonly string[]; readonly left: readonly string[] }> {
    const uses = (await this.gathered()).of(id);
    const goes = ({ where }: Use): boolean => {
      if (where.length === 0) return true;
      return how === 'replaced' && where.some((each) => !each.startsWith(onAir));
    };
    const stays = ({ where }: Use): boolean =>
      where.length > 0 && (how === 'out' || where.some((each) => each.startsWith(onAir)));
    return { replaced: uses.filter(goes).map(inWords), left: uses.filter(stays).map(inWords) };
  }

  /** Everything that is used, each with every place that does, in words. */
  async all(): Promise<ReadonlyMap<string, readonly string[]>> {
    return (await this.gathered()).words();
  }

  private async gathered(): Promise<Uses> {
    const names = await this.names();
    const lines = await this.database.getRepository(LineEntity).find();
    const found = new Uses();
    for (const line of lines) await this.addLine(found, line, names, lines.length > 1 ? ` of ${line.name}` : '');
    const there = { deletedAt: IsNull() };
    for (const { name, words } of await this.database.getRepository(GreetingEntity).findBy(there)) {
      found.add(idsInWords(words), `the words of the greeting ${name}`);
    }
    for (const { name, greetingId, ownerId, tell } of await this.database.getRepository(BoxEntity).findBy(there)) {
      found.add([greetingId], `the greeting of the box ${name}`);
      found.add([ownerId], `the owner of the box ${name}`);
      found.add(idsOf(tell), `told of messages in the box ${name}`);
    }
    for (const { name, members } of await this.database.getRepository(GroupEntity).findBy(there)) {
      found.add(idsOf(members), `a member of the group ${name}`);
    }
    for (const queue of await this.database.getRepository(QueueEntity).findBy(there)) {
      found.add(idsOf(queue.members), `a member of the queue ${queue.name}`);
      found.add([queue.holdGreetingId], `what callers of the queue ${queue.name} hear on hold`);
      const heard = queue.waiting.flatMap((part) => (part.type === 'greeting' ? [part.greetingId] : []));
      found.add(heard, `what callers of the queue ${queue.name} hear while waiting`);
    }
    return found;
  }

  /** Which lines, people, groups and queues keep these hours, in words. */
  async ofHours(hoursId: HoursId): Promise<readonly string[]> {
    const lines = await this.database.getRepository(LineEntity).findBy({ hoursId });
    const people = await this.database.getRepository(PersonEntity).findBy({ hoursId, deletedAt: IsNull() });
    const everybody = await this.database.getRepository(PersonEntity).findBy({ deletedAt: IsNull() });
    const groups = await this.database.getRepository(GroupEntity).findBy({ hoursId, deletedAt: IsNull() });
    const queues = await this.database.getRepository(QueueEntity).findBy({ hoursId, deletedAt: IsNull() });
    return [
      ...lines.map(({ name }) => `the line ${name}`),
      ...people.map(({ name }) => name),
      ...everybody
        .filter(({ phones }) => phones.some((phone) => phone.hoursId === hoursId))
        .map(({ name }) => `a phone of ${name}`),
      ...groups.map(({ name }) => `the group ${name}`),
      ...queues.map(({ name }) => `the queue ${name}`),
      ...(await this.of(hoursId)),
    ];
  }

  private async addLine(found: Uses, line: LineEntity, names: Names, of: string): Promise<void> {
    const draft = await this.database.getRepository(DraftEntity).findOneBy({ lineId: line.id });
    const version = line.onAirVersionId
      ? await this.database.getRepository(VersionEntity).findOneBy({ id: line.onAirVersionId })
      : null;
    found.add([line.operatorId], `the operator of the line ${line.name}`);
    if (draft) found.addAttendant(draft.attendant, names, `in the draft${of}`);
    if (version) found.addAttendant(version.attendant, names, `${onAir}${of}`);
  }
}

function idsOf(people: readonly { readonly personId: string }[]): readonly string[] {
  return people.map(({ personId }) => personId);
}

const onAir = 'on air';

/** A place that uses something, and in which attendants it is; in none where it is none's. */
interface Use {
  readonly words: string;
  readonly where: readonly string[];
}

function inWords({ words, where }: Use): string {
  return where.length === 0 ? words : `${words}, ${where.join(' and ')}`;
}

/** Uses as they are gathered: what is so in the draft and on air is said once. */
class Uses {
  private readonly found = new Map<string, Map<string, string[]>>();

  add(ids: readonly (string | null)[], words: string, where?: string): void {
    for (const id of new Set(ids)) {
      if (id === null) continue;
      const places = this.found.get(id) ?? new Map<string, string[]>();
      this.found.set(id, places);
      places.set(words, [...(places.get(words) ?? []), ...(where === undefined ? [] : [where])]);
    }
  }

  addAttendant(document: unknown, names: Names, where: string): void {
    const attendant: Attendant = storedAttendant(document, { what: `What is ${where}` });
    for (const [id, uses] of allUses(attendant)) {
      for (const words of new Set(uses.map((use) => describeUse(use, attendant, names)))) this.add([id], words, where);
    }
  }

  of(id: string): readonly Use[] {
    return [...(this.found.get(id) ?? [])].map(([words, where]) => ({ words, where }));
  }

  words(): ReadonlyMap<string, readonly string[]> {
    return new Map([...this.found.keys()].map((id) => [id, this.of(id).map(inWords)]));
  }
}
