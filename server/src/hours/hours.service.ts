import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  checkHours,
  describeHoursProblem,
  hoursId,
  readDatedWeeks,
  readSeasons,
  readSpecialDates,
  type DatedWeek,
  type HoursContent,
  type HoursId,
  type Season,
  type SpecialDate,
} from '@locutor/core/hours';
import { Repository } from 'typeorm';
import { Foresight } from '../foresight/foresight';
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
    private readonly foresight: Foresight,
  ) {}

  list(): Promise<HoursEntity[]> {
    return this.hours.find({ order: { name: 'ASC' } });
  }

  async add({ name, periods, week, ...more }: AddHoursDto): Promise<HoursEntity> {
    const content = {
      ...{ periods, week, datedWeeks: datedWeeksOf(more) ?? [], seasons: seasonsOf(more) ?? [] },
      special: specialOf(more) ?? [],
    };
    mustHold(content);
    const id = newId(hoursId);
    await this.hours.insert({ id, name, ...content, breaksSaid: more.breaksSaid ?? true });
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

  /** Keeps changed hours; a period or special date that still answers somewhere cannot be left out. */
  async change(id: HoursId, { revision, name, periods, week, ...more }: ChangeHoursDto): Promise<HoursEntity> {
    const before = await this.get(id);
    const datedWeeks = datedWeeksOf(more) ?? before.datedWeeks;
    const seasons = seasonsOf(more) ?? before.seasons;
    const special = specialOf(more) ?? before.special;
    mustHold({ periods, week, datedWeeks, seasons, special });
    const left = new Set<string>([...periods, ...special].map((each) => each.id));
    for (const gone of [...before.periods, ...before.special].filter((each) => !left.has(each.id))) {
      const uses = await this.uses.of(gone.id);
      if (uses.length > 0) throw inUse(gone.name, uses);
    }
    const changes: Partial<HoursEntity> = definedOf({
      ...{ name, periods, week, datedWeeks, seasons, special },
      breaksSaid: more.breaksSaid,
    });
    if (before.revision === revision) {
      const after = { ...before, ...changes };
      await this.foresight.mustNotBreak({
        allHours: (await this.list()).map((hours) => (hours.id === id ? after : hours)),
      });
    }
    return changeRevision(this.hours, { id }, revision, changes, before.name);
  }
}

interface Sent {
  readonly datedWeeks?: unknown[];
  readonly seasons?: unknown[];
  readonly special?: unknown[];
}

/** @throws Problem 422 when they are not made as dated weeks are. */
function datedWeeksOf({ datedWeeks }: Sent): DatedWeek[] | undefined {
  if (datedWeeks === undefined) return undefined;
  const read = readDatedWeeks(datedWeeks);
  if (read.ok) return [...read.value];
  const at = `datedWeeks.${read.problems[0]?.at ?? ''}`;
  throw invalid([{ at, says: 'The weeks from a date on were not understood.' }]);
}

/** @throws Problem 422 when they are not made as seasons are. */
function seasonsOf({ seasons }: Sent): Season[] | undefined {
  if (seasons === undefined) return undefined;
  const read = readSeasons(seasons);
  if (read.ok) return [...read.value];
  throw invalid([{ at: `seasons.${read.problems[0]?.at ?? ''}`, says: 'The seasons were not understood.' }]);
}

function specialOf({ special }: Sent): SpecialDate[] | undefined {
  if (special === undefined) return undefined;
  const read = readSpecialDates(special);
  if (read.ok) return [...read.value];
  throw invalid([{ at: `special.${read.problems[0]?.at ?? ''}`, says: 'The special dates were not understood.' }]);
}

function mustHold(hours: HoursContent): void {
  const checked = checkHours(hours);
  if (checked.ok) return;
  throw invalid(
    checked.problems.map((problem) => ({
      at: problem.type === 'special' ? 'special' : 'week',
      says: describeHoursProblem(problem),
    })),
  );
}
