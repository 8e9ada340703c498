import { Injectable } from '@nestjs/common';
import { extensionTakenBy, type Person } from '@locutor/core/directory';
import { DataSource, IsNull } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { GroupEntity } from '../groups/group.entity';
import { PersonEntity } from '../people/person.entity';
import { conflict } from '../problems/problem';
import { QueueEntity } from '../queues/queue.entity';

interface Dialled {
  readonly id: string;
  readonly name: string;
}

/** Keeps everything that can be dialled on a phone apart: extensions of people, groups and queues, codes of boxes and speaker groups. */
@Injectable()
export class ExtensionsService {
  constructor(private readonly database: DataSource) {}

  /** @throws Problem 409 when somebody else, or a code, has these digits already; none are never taken. `everybody` are the people as they are about to be. */
  async mustBeFree(extension: string, of: Dialled, everybody?: readonly Person[]): Promise<void> {
    if (extension === '') return;
    const there = { deletedAt: IsNull() };
    const [people, groups, queues] = await Promise.all([
      everybody ?? this.database.getRepository(PersonEntity).findBy(there),
      this.database.getRepository(GroupEntity).findBy(there),
      this.database.getRepository(QueueEntity).findBy(there),
    ]);
    const other = extensionTakenBy([...people, ...groups, ...queues], extension, of.id);
    if (other) throw conflict(`Extension ${extension} is ${other.name}’s already. Choose another for ${of.name}.`);
    const code = (await this.codes()).find((each) => each.code === extension);
    if (code) throw conflict(`${extension} is the code of ${code.name} already. Choose another for ${of.name}.`);
  }

  /** The same for the code of a box or a speaker group. */
  async codeMustBeFree(code: string, of: Dialled): Promise<void> {
    if (code === '') return;
    const other = (await this.codes()).find((each) => each.code === code && each.id !== of.id);
    if (other) throw conflict(`${code} is the code of ${other.name} already. Choose another for ${of.name}.`);
    const there = { deletedAt: IsNull(), extension: code };
    for (const entity of [PersonEntity, GroupEntity, QueueEntity]) {
      const [taken] = await this.database.getRepository<Dialled>(entity).findBy(there as never);
      if (taken) throw conflict(`${code} is the extension of ${taken.name}. Choose another code for ${of.name}.`);
    }
  }

  private async codes(): Promise<readonly (Dialled & { readonly code: string })[]> {
    const there = { deletedAt: IsNull() };
    const boxes = await this.database.getRepository(BoxEntity).findBy(there);
    const groups = await this.database.getRepository(GroupEntity).findBy(there);
    return [...boxes, ...groups.map(({ id, name, speakerCode }) => ({ id, name, code: speakerCode }))];
  }
}
