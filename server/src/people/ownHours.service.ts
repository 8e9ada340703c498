import { Injectable } from '@nestjs/common';
import type { PersonId } from '@locutor/core/directory';
import { wallTime, withOwnWeek, type HoursId } from '@locutor/core/hours';
import { Clock } from '../clock/clock';
import type { HoursEntity } from '../hours/hours.entity';
import { HoursService } from '../hours/hours.service';
import { LinesService } from '../lines/lines.service';
import { notAllowed } from '../problems/problem';
import { UsesService } from '../uses/uses.service';
import type { OwnHoursDto } from './person.dto';
import { PeopleService } from './people.service';

/** Working hours that colleagues set themselves, where the manager lets them. */
@Injectable()
export class OwnHoursService {
  constructor(
    private readonly people: PeopleService,
    private readonly hours: HoursService,
    private readonly lines: LinesService,
    private readonly uses: UsesService,
    private readonly clock: Clock,
  ) {}

  /**
   * Changes when somebody works, by the week that holds now. Hours that others keep too stay theirs: they get a copy.
   * @throws Problem 403 where the manager has not allowed it; 422 where the times make no week
   */
  async set(id: PersonId, { week }: OwnHoursDto): Promise<HoursEntity> {
    const { name, hoursId, setsOwnHours, revision } = await this.people.get(id);
    if (!setsOwnHours || !hoursId) {
      throw notAllowed(`${name} does not set their own hours. Whoever manages the line can allow it in the directory.`);
    }
    const [line] = await this.lines.list();
    const today = wallTime(line?.timeZone ?? 'UTC', this.clock.now()).day;
    const before = await this.hours.get(hoursId);
    const after = withOwnWeek(before, today, week);
    const content = {
      ...{ periods: [...after.periods], week: [...after.week], datedWeeks: [...after.datedWeeks] },
      ...{ seasons: [...after.seasons], special: [...after.special] },
    };
    if ((await this.uses.ofHours(hoursId)).length <= 1) {
      return this.hours.change(hoursId, { ...content, revision: before.revision });
    }
    const own = await this.hours.add({ ...content, name: await this.freeName(name), breaksSaid: before.breaksSaid });
    await this.people.changePerson(id, revision, { hoursId: own.id as HoursId });
    return own;
  }

  private async freeName(name: string): Promise<string> {
    const taken = new Set((await this.hours.list()).map((each) => each.name));
    const wanted = `Hours of ${name}`.slice(0, 70);
    let free = wanted;
    for (let number = 2; taken.has(free); number += 1) free = `${wanted} ${number}`;
    return free;
  }
}
