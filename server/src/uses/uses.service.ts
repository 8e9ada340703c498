import { Injectable } from '@nestjs/common';
import type { Attendant, Names, ReferredId } from '@locutor/core/line';
import { describeSlot, usesOf } from '@locutor/core/line';
import { DataSource } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { DraftEntity } from '../drafts/draft.entity';
import { storedAttendant } from '../drafts/storedAttendant';
import { GreetingEntity } from '../greetings/greeting.entity';
import { HoursEntity } from '../hours/hours.entity';
import { LineEntity } from '../lines/line.entity';
import { PersonEntity } from '../people/person.entity';
import { VersionEntity } from '../versions/version.entity';

/** Knows what everything is called, and where each thing is used. */
@Injectable()
export class UsesService {
  constructor(private readonly database: DataSource) {}

  /** The names of people, boxes, greetings and periods by id, deleted ones too. */
  async names(): Promise<Names> {
    const rows = await Promise.all(
      [PersonEntity, BoxEntity, GreetingEntity].map((entity) =>
        this.database.getRepository<{ id: string; name: string }>(entity).find(),
      ),
    );
    const hours = await this.database.getRepository(HoursEntity).find();
    const named = [...rows.flat(), ...hours.flatMap((each) => each.periods)];
    return Object.fromEntries(named.map(({ id, name }) => [id, name]));
  }

  /** Where something is used by a draft, by what is on air or by a box, in words. */
  async of(id: ReferredId): Promise<readonly string[]> {
    const names = await this.names();
    const lines = await this.database.getRepository(LineEntity).find();
    const inLines = await Promise.all(lines.map((line) => this.usesInLine(line, id, names)));
    const boxes = await this.database.getRepository(BoxEntity).findBy({ greetingId: id as never });
    const inBoxes = boxes.filter((box) => box.deletedAt === null).map((box) => `the greeting of the box ${box.name}`);
    return [...inLines.flat(), ...inBoxes];
  }

  private async usesInLine(line: LineEntity, id: ReferredId, names: Names): Promise<string[]> {
    const draft = await this.database.getRepository(DraftEntity).findOneBy({ lineId: line.id });
    const onAir = line.onAirVersionId
      ? await this.database.getRepository(VersionEntity).findOneBy({ id: line.onAirVersionId })
      : null;
    return [
      ...usesInWords(draft?.attendant, id, names, 'in the draft'),
      ...usesInWords(onAir?.attendant, id, names, 'on air'),
    ];
  }
}

function usesInWords(document: unknown, id: ReferredId, names: Names, where: string): string[] {
  if (document === undefined) return [];
  const attendant: Attendant = storedAttendant(document);
  return usesOf(attendant, id).map((use) => `${describeSlot(use.slot, attendant, names)}, ${where}`);
}
