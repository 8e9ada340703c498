import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { checkHours, describeHoursProblem, type HoursId } from '@locutor/core/hours';
import { Repository } from 'typeorm';
import { inUse, invalid, notFound } from '../problems/problem';
import { changeRevision } from '../rows/changeRevision';
import { UsesService } from '../uses/uses.service';
import type { ChangeHoursDto } from './hours.dto';
import { HoursEntity } from './hours.entity';

@Injectable()
export class HoursService {
  constructor(
    @InjectRepository(HoursEntity) private readonly hours: Repository<HoursEntity>,
    private readonly uses: UsesService,
  ) {}

  async get(id: HoursId): Promise<HoursEntity> {
    const hours = await this.hours.findOneBy({ id });
    if (!hours) throw notFound('Those hours');
    return hours;
  }

  /** Keeps a changed week; a period that still answers somewhere cannot be left out. */
  async change(id: HoursId, { revision, periods, week }: ChangeHoursDto): Promise<HoursEntity> {
    const before = await this.get(id);
    const checked = checkHours({ periods, week });
    if (!checked.ok) {
      throw invalid(checked.problems.map((problem) => ({ at: 'week', says: describeHoursProblem(problem) })));
    }
    for (const gone of before.periods.filter((period) => !periods.some((each) => each.id === period.id))) {
      const uses = await this.uses.of(gone.id);
      if (uses.length > 0) throw inUse(gone.name, uses);
    }
    return changeRevision(this.hours, { id }, revision, { periods, week }, before.name);
  }
}
