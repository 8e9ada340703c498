import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { countryOf, groupId, showPhoneNumber } from '@locutor/core/directory';
import { hoursId, periodId, type Hours, type HoursId } from '@locutor/core/hours';
import {
  folded,
  lineId,
  newMenu,
  schemaVersion,
  sheetId,
  defaultVoice,
  type Attendant,
  type LineId,
  type OperatorId,
} from '@locutor/core/line';
import { DataSource, IsNull, Repository } from 'typeorm';
import { DraftEntity } from '../drafts/draft.entity';
import { storedAttendant } from '../drafts/storedAttendant';
import { Foresight } from '../foresight/foresight';
import { GroupEntity } from '../groups/group.entity';
import { HoursEntity } from '../hours/hours.entity';
import { PersonEntity } from '../people/person.entity';
import { conflict, invalid, nameTaken, notFound } from '../problems/problem';
import { phoneNumberOf } from '../problems/fields';
import { changeRevision } from '../rows/changeRevision';
import { definedOf } from '../rows/definedOf';
import { newId } from '../rows/newId';
import type { AddLineDto, ChangeLineDto } from './line.dto';
import { LineEntity } from './line.entity';

@Injectable()
export class LinesService {
  constructor(
    @InjectRepository(LineEntity) private readonly lines: Repository<LineEntity>,
    private readonly database: DataSource,
    private readonly foresight: Foresight,
  ) {}

  /** In the order they were made. */
  list(): Promise<LineEntity[]> {
    return this.lines.createQueryBuilder('line').orderBy('line.rowid').getMany();
  }

  async get(id: LineId): Promise<LineEntity> {
    const line = await this.lines.findOneBy({ id });
    if (!line) throw notFound('That line');
    return line;
  }

  /** Adds a line with a draft of its own: another line's, or a menu to begin with. */
  async add({
    name,
    number: typed,
    timeZone,
    copyOf,
    hoursId: shared,
    emergencyAddress,
    operatorId: operator,
  }: AddLineDto): Promise<LineEntity> {
    const number = phoneNumberOf(typed, countryOf({ number: typed, timeZone }));
    await this.mustBeThere(operator);
    await this.nameMustBeFree(name);
    await this.mustBeFree(number);
    const from = copyOf ? await this.get(copyOf) : undefined;
    const hours = await this.hoursFor(name, shared ?? from?.hoursId);
    const attendant = from ? await this.attendantOf(from.id) : firstMenu(hours);
    const id = newId(lineId);
    await this.database.transaction(async (rows) => {
      if (!shared && !from) await rows.insert(HoursEntity, hours as HoursEntity);
      const address = emergencyAddress ?? from?.emergencyAddress ?? '';
      const operatorId = operator ?? from?.operatorId ?? null;
      await rows.insert(LineEntity, {
        ...{ id, name, number, timeZone, hoursId: hours.id, emergencyAddress: address, operatorId },
      });
      await rows.insert(DraftEntity, { lineId: id, attendant: attendant as never, savedAt: Date.now() });
    });
    return this.get(id);
  }

  async change(id: LineId, { revision, ...changes }: ChangeLineDto): Promise<LineEntity> {
    const line = await this.get(id);
    const number = changes.number === undefined ? undefined : phoneNumberOf(changes.number, countryOf(line));
    if (number) await this.mustBeFree(number, id);
    await this.mustBeThere(changes.operatorId);
    if (changes.name !== undefined) await this.nameMustBeFree(changes.name, id);
    const from = changes.serviceFrom === undefined ? line.serviceFrom : changes.serviceFrom;
    const until = changes.serviceUntil === undefined ? line.serviceUntil : changes.serviceUntil;
    if (from && until && until < from) {
      throw invalid([{ at: 'serviceUntil', says: `${line.name} would be out of service before it is in service.` }]);
    }
    const changed = number ? { ...changes, number } : changes;
    if (line.revision === revision) await this.mustNotBreak([{ ...line, ...definedOf(changed) }]);
    return changeRevision(this.lines, { id }, revision, changed, 'The line');
  }

  /** Lets two lines have each other's number, in one step: callers of either number reach the other attendant. */
  async exchangeNumbers(id: LineId, withId: LineId): Promise<LineEntity[]> {
    const [one, other] = [await this.get(id), await this.get(withId)];
    if (one.id === other.id) throw invalid([{ at: 'with', says: 'Choose another line.' }]);
    await this.mustNotBreak([
      { ...one, number: other.number },
      { ...other, number: one.number },
    ]);
    await this.database.transaction(async (rows) => {
      // No two lines may have one number, not even for a moment.
      await rows.update(LineEntity, { id: one.id }, { number: `moving ${one.id}` });
      await rows.update(LineEntity, { id: other.id }, { number: one.number, revision: other.revision + 1 });
      await rows.update(LineEntity, { id: one.id }, { number: other.number, revision: one.revision + 1 });
    });
    return this.list();
  }

  private async mustNotBreak(changed: readonly LineEntity[]): Promise<void> {
    const lines = (await this.list()).map((line) => changed.find(({ id }) => id === line.id) ?? line);
    await this.foresight.mustNotBreak({ lines });
  }

  private async mustBeFree(number: string, except?: LineId): Promise<void> {
    const other = await this.lines.findOneBy({ number });
    if (other && other.id !== except) {
      throw conflict(`${showPhoneNumber(number)} is the number of ${other.name} already.`);
    }
  }

  private async nameMustBeFree(name: string, except?: LineId): Promise<void> {
    const other = (await this.list()).find((each) => each.id !== except && folded(each.name) === folded(name));
    if (other) throw nameTaken('line', other.name);
  }

  /** Whoever operates a line must be in the directory. */
  private async mustBeThere(operatorId: OperatorId | null | undefined): Promise<void> {
    if (!operatorId) return;
    const entity = groupId.is(operatorId) ? GroupEntity : PersonEntity;
    const there = await this.database
      .getRepository<{ id: string; deletedAt: number | null }>(entity)
      .existsBy({ id: operatorId, deletedAt: IsNull() });
    if (!there)
      throw invalid([{ at: 'operatorId', says: 'Whoever is named as the operator is not in the directory.' }]);
  }

  private async hoursFor(lineName: string, shared: HoursId | undefined): Promise<Hours> {
    if (!shared) return weekdays(lineName);
    const hours = await this.database.getRepository(HoursEntity).findOneBy({ id: shared });
    if (!hours) throw notFound('Those hours');
    return hours;
  }

  private async attendantOf(line: LineId): Promise<Attendant> {
    const draft = await this.database.getRepository(DraftEntity).findOneByOrFail({ lineId: line });
    return storedAttendant(draft.attendant);
  }
}

function weekdays(lineName: string): Hours {
  const open = { id: newId(periodId), name: 'Open' };
  const week = ([1, 2, 3, 4, 5] as const).map((day) => ({ periodId: open.id, day, startMin: 480, endMin: 1020 }));
  return {
    id: newId(hoursId),
    name: `Hours of ${lineName}`,
    periods: [open],
    week,
    datedWeeks: [],
    seasons: [],
    special: [],
  };
}

function firstMenu({ periods }: Hours): Attendant {
  const welcome = newMenu(newId(sheetId), 'Welcome');
  const toWelcome = [{ type: 'goTo' as const, sheetId: welcome.id }];
  const [open] = periods;
  return {
    schemaVersion,
    voice: defaultVoice,
    sheets: [welcome],
    paths: [],
    fallbacks: [],
    answering: {
      rules: open ? [{ type: 'period', periodId: open.id, path: toWelcome }] : [],
      otherwise: toWelcome,
    },
  };
}
