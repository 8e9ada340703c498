import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { LineId } from '@locutor/core/line';
import type { QuietHours } from '@locutor/core/traffic';
import { IsNull, LessThanOrEqual, Repository } from 'typeorm';
import { CallsService } from '../callLog/calls.service';
import { Clock, type Stop } from '../clock/clock';
import { log } from '../log/log';
import { DraftsService } from '../drafts/drafts.service';
import { HoursService } from '../hours/hours.service';
import { LinesService } from '../lines/lines.service';
import { conflict, invalid, Problem, stale } from '../problems/problem';
import { AiringCheck } from './airingCheck.service';
import { AiringService } from './airing.service';
import type { PlanBackDto, PlanDto } from './airing.dto';
import type { StandIn } from '../trials/scripts.service';
import type { VersionId } from '../versions/versionId';
import { VersionsService } from '../versions/versions.service';
import { WorkStopped } from '../workers';
import { PlannedAiringEntity } from './plannedAiring.entity';

/** What is planned, without the attendant itself. */
export type Planned = Omit<PlannedAiringEntity, 'attendant'>;

const lookEveryMs = 1000;
const longestAheadMs = 366 * 86_400_000;
const loggedDays = 56;
const dayMs = 86_400_000;

/**
 * What is to go on air later. Whether its time has come is looked at by the clock on the wall, again and again: a clock
 * that jumps, or a machine that was off meanwhile, makes it late, never lost.
 */
@Injectable()
export class PlannedService implements OnApplicationBootstrap, OnModuleDestroy {
  private stopLooking: Stop | undefined;
  private isAiring = false;

  constructor(
    @InjectRepository(PlannedAiringEntity) private readonly rows: Repository<PlannedAiringEntity>,
    private readonly lines: LinesService,
    private readonly drafts: DraftsService,
    private readonly versions: VersionsService,
    private readonly hours: HoursService,
    private readonly calls: CallsService,
    private readonly airing: AiringService,
    private readonly check: AiringCheck,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.stopLooking = this.clock.every(lookEveryMs, () => this.airDue());
  }

  onModuleDestroy(): void {
    this.stopLooking?.();
  }

  async get(lineId: LineId): Promise<Planned | null> {
    await this.lines.get(lineId);
    const row = await this.rows.findOneBy({ lineId });
    return row && withoutAttendant(row);
  }

  /** Plans the draft as it is now, or changes the plan. @throws Problem 409, 422 when it may not go on air as it is. */
  async plan(lineId: LineId, asked: PlanDto): Promise<Planned> {
    const draft = await this.drafts.get(lineId);
    if (draft.revision !== asked.draftRevision) throw stale('The draft', draft.revision);
    const is = { attendant: draft.attendant, greetings: [], takes: [] };
    return this.keep(lineId, asked, is, { draftRevision: draft.revision, versionId: null });
  }

  /** Plans that an earlier version goes back on air. @throws Problem 409, 422 when it may not go there as it is. */
  async planBack(lineId: LineId, versionId: VersionId, asked: PlanBackDto): Promise<Planned> {
    const is = await this.versions.get(lineId, versionId);
    if (is.onAir) throw conflict(`Version ${is.number} is on air already.`);
    return this.keep(lineId, asked, is, { draftRevision: is.draftRevision, versionId });
  }

  private async keep(
    lineId: LineId,
    { at, by = '', note = '', yes = [], revision }: PlanBackDto,
    is: StandIn,
    of: Pick<PlannedAiringEntity, 'draftRevision' | 'versionId'>,
  ): Promise<Planned> {
    const before = await this.rows.findOneBy({ lineId });
    if (before && before.revision !== revision) {
      throw conflict(`${before.by || 'Somebody'} has planned something on this line meanwhile. Look at it first.`);
    }
    const now = this.clock.now();
    if (at <= now) throw invalid([{ at: 'at', says: 'That time is over. Choose a later one, or put it on air now.' }]);
    if (at > now + longestAheadMs) throw invalid([{ at: 'at', says: 'Choose a time within a year.' }]);
    await this.check.accept(lineId, yes, by || 'somebody');
    await this.airing.mustPass(lineId, is, at);
    const row = { lineId, attendant: is.attendant, ...of, at, by, note, madeAt: now, problem: null };
    await this.rows.save({ ...row, revision: (before?.revision ?? 0) + 1 });
    return withoutAttendant(await this.rows.findOneByOrFail({ lineId }));
  }

  async cancel(lineId: LineId): Promise<void> {
    await this.rows.delete({ lineId });
  }

  /** The hours ahead in which few people call, by the log of the last weeks. */
  async quietest(lineId: LineId): Promise<QuietHours> {
    const line = await this.lines.get(lineId);
    const now = this.clock.now();
    return this.calls.quietest(line, await this.hours.get(line.hoursId), now - loggedDays * dayMs, now);
  }

  /** Puts on air whose time has come. What no longer passes does not go: it stays, with the reason. */
  async airDue(): Promise<void> {
    if (this.isAiring) return;
    this.isAiring = true;
    try {
      const due = await this.rows.find({ where: { at: LessThanOrEqual(this.clock.now()), problem: IsNull() } });
      for (const planned of due) {
        await this.airing.putPlannedOnAir(planned).catch((error: unknown) => this.refuse(planned, error));
      }
    } catch (error) {
      if (error instanceof WorkStopped) return;
      log.error({ err: error }, 'What is planned could not be looked at');
    } finally {
      this.isAiring = false;
    }
  }

  private async refuse({ lineId, revision }: PlannedAiringEntity, error: unknown): Promise<void> {
    if (!(error instanceof Problem)) log.error({ err: error, lineId }, 'What was planned did not go on air');
    const problem = error instanceof Problem ? error.details.detail : 'Something went wrong on the server.';
    await this.rows.update({ lineId, revision }, { problem });
  }
}

function withoutAttendant(row: PlannedAiringEntity): Planned {
  const { lineId, versionId, draftRevision, at, by, note, madeAt, revision, problem } = row;
  return { lineId, versionId, draftRevision, at, by, note, madeAt, revision, problem };
}
