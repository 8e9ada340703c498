import { Injectable } from '@nestjs/common';
import {
  boxDefaults,
  countryOf,
  boxId,
  personDefaults,
  personId,
  type Box,
  type Person,
} from '@locutor/core/directory';
import { hoursId, minutesOfDay, periodId, type Hours } from '@locutor/core/hours';
import { lineId, namedPathId, sheetId, starters } from '@locutor/core/line';
import { DataSource } from 'typeorm';
import { BoxEntity } from '../boxes/box.entity';
import { DraftEntity } from '../drafts/draft.entity';
import { HoursEntity } from '../hours/hours.entity';
import { LineEntity } from '../lines/line.entity';
import { PersonEntity } from '../people/person.entity';
import { phoneNumberOf } from '../problems/fields';
import { conflict, invalid } from '../problems/problem';
import { newId } from '../rows/newId';
import type { StartDto } from './start.dto';

/** The first run: a line, its hours, its people and an attendant that can be called at once. */
@Injectable()
export class StartService {
  constructor(private readonly database: DataSource) {}

  async start(facts: StartDto): Promise<LineEntity> {
    const { timeZone } = facts;
    const number = phoneNumberOf(facts.number, countryOf({ number: facts.number, timeZone }));
    if ((await this.database.getRepository(LineEntity).count()) > 0) {
      throw conflict('This Locutor has a line already. Change it instead of starting again.');
    }
    const hours = hoursFrom(facts);
    const people: Person[] = facts.people.map((person) => ({ ...personDefaults, ...person, id: newId(personId) }));
    // Whoever is named first hears the messages, until somebody else is to.
    const box: Box = { ...boxDefaults, id: newId(boxId), name: 'Office', ownerId: people[0]?.id ?? null };
    const operator = people[facts.operator ?? 0];
    if (!operator) throw invalid([{ at: 'operator', says: 'Whoever operates the line is one of the people.' }]);
    const id = newId(lineId);
    await this.database.transaction(async (rows) => {
      await rows.insert(HoursEntity, hours as HoursEntity);
      // One by one: after inserting several at once TypeORM may give them each other's ids.
      for (const person of people) await rows.insert(PersonEntity, { ...person } as PersonEntity);
      await rows.insert(BoxEntity, box as BoxEntity);
      const { name, emergencyAddress = '' } = facts;
      const line = { id, name, timeZone, number, hoursId: hours.id, emergencyAddress, operatorId: operator.id };
      await rows.insert(LineEntity, line);
      const attendant = starters[facts.starter ?? 'people'].make({
        businessName: name,
        people,
        isInOrder: true,
        boxId: box.id,
        openPeriodId: openPeriodOf(hours),
        sheetId: () => newId(sheetId),
        pathId: () => newId(namedPathId),
      });
      await rows.insert(DraftEntity, { lineId: id, attendant: attendant as never, savedAt: Date.now() });
    });
    return this.database.getRepository(LineEntity).findOneByOrFail({ id });
  }
}

function hoursFrom({ openDays, opensMin, closesMin }: StartDto): Hours {
  const open = { id: newId(periodId), name: 'Open' };
  const endMin = closesMin > opensMin ? closesMin : closesMin + minutesOfDay;
  const week = openDays.map((day) => ({ periodId: open.id, day, startMin: opensMin, endMin }));
  return {
    id: newId(hoursId),
    name: 'Business hours',
    periods: [open],
    week,
    datedWeeks: [],
    seasons: [],
    special: [],
  };
}

function openPeriodOf(hours: Hours): Hours['periods'][number]['id'] {
  const [open] = hours.periods;
  if (!open) throw new Error('The first hours have no period');
  return open.id;
}
