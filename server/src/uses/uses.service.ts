import { Injectable } from '@nestjs/common';
import type { HoursId } from '@locutor/core/hours';
import type { Attendant, Names, ReferredId } from '@locutor/core/line';
import { describeUse, idsInWords, usesOf } from '@locutor/core/line';
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
    const rows = await Promise.all(
      named.map((entity) => this.database.getRepository<{ id: string; name: string }>(entity).find()),
    );
    const hours = await this.database.getRepository(HoursEntity).find();
    const all = [...rows.flat(), ...hours.flatMap((each) => [...each.periods, ...each.special])];
    return Object.fromEntries(all.map(({ id, name }) => [id, name]));
  }

  /** Where something is used by a draft, by what is on air, by a box, a group or a queue, in words. */
  async of(id: ReferredId): Promise<readonly string[]> {
    const names = await this.names();
    const lines = await this.database.getRepository(LineEntity).find();
    const inLines = await Promise.all(lines.map((line) => this.usesInLine(line, id, names, lines.length > 1)));
    const boxes = await this.database.getRepository(BoxEntity).findBy({ deletedAt: IsNull() });
    const groups = await this.database.getRepository(GroupEntity).findBy({ deletedAt: IsNull() });
    const queues = await this.database.getRepository(QueueEntity).findBy({ deletedAt: IsNull() });
    const greetings = await this.database.getRepository(GreetingEntity).findBy({ deletedAt: IsNull() });
    return [
      ...inLines.flat(),
      ...greetings.flatMap(({ name, words }) =>
        idsInWords(words).some((each) => each === id) ? [`the words of the greeting ${name}`] : [],
      ),
      ...boxes.flatMap((box) => usesInBox(box, id)),
      ...groups.flatMap((group) => usesAsMember(group, 'group', id)),
      ...queues.flatMap((queue) => [...usesAsMember(queue, 'queue', id), ...usesInQueue(queue, id)]),
    ];
  }

  /** Which lines, people, groups and queues keep these hours, in words. */
  async ofHours(hoursId: HoursId): Promise<readonly string[]> {
    const lines = await this.database.getRepository(LineEntity).findBy({ hoursId });
    const people = await this.database.getRepository(PersonEntity).findBy({ hoursId, deletedAt: IsNull() });
    const groups = await this.database.getRepository(GroupEntity).findBy({ hoursId, deletedAt: IsNull() });
    const queues = await this.database.getRepository(QueueEntity).findBy({ hoursId, deletedAt: IsNull() });
    return [
      ...lines.map(({ name }) => `the line ${name}`),
      ...people.map(({ name }) => name),
      ...groups.map(({ name }) => `the group ${name}`),
      ...queues.map(({ name }) => `the queue ${name}`),
      ...(await this.of(hoursId)),
    ];
  }

  private async usesInLine(line: LineEntity, id: ReferredId, names: Names, naming: boolean): Promise<string[]> {
    const draft = await this.database.getRepository(DraftEntity).findOneBy({ lineId: line.id });
    const onAir = line.onAirVersionId
      ? await this.database.getRepository(VersionEntity).findOneBy({ id: line.onAirVersionId })
      : null;
    const where = naming ? ` of ${line.name}` : '';
    return [
      ...usesInWords(draft?.attendant, id, names, `in the draft${where}`),
      ...usesInWords(onAir?.attendant, id, names, `on air${where}`),
    ];
  }
}

function usesInWords(document: unknown, id: ReferredId, names: Names, where: string): string[] {
  if (document === undefined) return [];
  const attendant: Attendant = storedAttendant(document, { what: `What is ${where}` });
  return usesOf(attendant, id).map((use) => `${describeUse(use, attendant, names)}, ${where}`);
}

function usesInBox({ name, greetingId, ownerId, tell }: BoxEntity, id: ReferredId): string[] {
  return [
    ...(greetingId === id ? [`the greeting of the box ${name}`] : []),
    ...(ownerId === id ? [`the owner of the box ${name}`] : []),
    ...(tell.some(({ personId }) => personId === id) ? [`told of messages in the box ${name}`] : []),
  ];
}

function usesAsMember({ name, members }: GroupEntity | QueueEntity, kind: string, id: ReferredId): string[] {
  return members.some(({ personId }) => personId === id) ? [`a member of the ${kind} ${name}`] : [];
}

function usesInQueue({ name, holdGreetingId, waiting }: QueueEntity, id: ReferredId): string[] {
  return [
    ...(holdGreetingId === id ? [`what callers of the queue ${name} hear on hold`] : []),
    ...(waiting.some((part) => part.type === 'greeting' && part.greetingId === id)
      ? [`what callers of the queue ${name} hear while waiting`]
      : []),
  ];
}
