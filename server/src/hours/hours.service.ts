import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { checkHours, describeHoursProblem, hoursId, type HoursId } from '@locutor/core/hours';
import { Repository } from 'typeorm';
import { inUse, invalid, notFound } from '../problems/problem';
import { changeRevision } from '../rows/changeRevision';
import { UsesService } from '../uses/uses.service';
import { definedOf } from '../rows/definedOf';
import { newId } from '../rows/newId';
import type { AddHoursDto, ChangeHoursDto } from './hours.dto';
import { HoursEntity } from './hours.entity';

@Injectable()
export class HoursService {
  constructor(
    @InjectRepository(HoursEntity) private readonly hours: Repository<HoursEntity>,
    private readonly uses: UsesService,
  ) {}

  list(): Promise<HoursEntity[]> {
    return this.hours.find({ order: { name: 'ASC' } });
  }

  async add({ name, periods, week }: AddHoursDto): Promise<HoursEntity> {
    mustHold({ periods, week });
    const id = newId(hoursId);
    await this.hours.insert({ id, name, periods, week });
    return this.get(id);
  }

  async remove(id: HoursId): Promise<void> {
    const { name } = await this.get(id);
    const uses = await this.uses.ofHours(id);
    if (uses.length > 0) throw inUse(name, uses);
    await this.hours.delete({ id });
  }

  async get(id: HoursId): Promise<HoursEntity> {
    const hours = await this.hours.findOneBy({ id });
    if (!hours) throw notFound('Those hours');
    return hours;
  }

  /** Keeps a changed week; a period that still answers somewhere cannot be left out. */
  async change(id: HoursId, { revision, name, periods, week }: ChangeHoursDto): Promise<HoursEntity> {
    const before = await this.get(id);
    mustHold({ periods, week });
    for (const gone of before.periods.filter((period) => !periods.some((each) => each.id === period.id))) {
      const uses = await this.uses.of(gone.id);
      if (uses.length > 0) throw inUse(gone.name, uses);
    }
    const changes: Partial<HoursEntity> = definedOf({ name, periods, week });
    return changeRevision(this.hours, { id }, revision, changes, before.name);
  }
}

function mustHold(hours: Pick<HoursEntity, 'periods' | 'week'>): void {
  const checked = checkHours(hours);
  if (checked.ok) return;
  throw invalid(checked.problems.map((problem) => ({ at: 'week', says: describeHoursProblem(problem) })));
}
