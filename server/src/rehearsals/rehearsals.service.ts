import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CallScript } from '@locutor/core/call';
import type { LineId } from '@locutor/core/line';
import {
  brokenKey,
  isBroken,
  readExpectations,
  readScene,
  rehearsalId,
  rehearsalLimits,
  type Expectation,
  type NotARehearsal,
  type Rehearsal,
  type RehearsalId,
  type Rehearsed,
  type Scene,
} from '@locutor/core/rehearsals';
import { IsNull, Repository } from 'typeorm';
import { LinesService } from '../lines/lines.service';
import { conflict, invalid, notFound } from '../problems/problem';
import { changeRevision } from '../rows/changeRevision';
import { newId } from '../rows/newId';
import { Reckoning } from '../reckoning/reckoning.module';
import { ScriptsService } from '../trials/scripts.service';
import type { ChangeRehearsalDto, RehearsalDto } from './rehearsal.dto';
import { RehearsalEntity } from './rehearsal.entity';

/** A rehearsal that does not go as it should. */
export interface BrokenRehearsal {
  readonly rehearsal: Rehearsal;
  readonly run: Rehearsed;
  /** Under which somebody can say yes to it all the same: the same rehearsal, failing in the same things. */
  readonly key: string;
}

@Injectable()
export class RehearsalsService {
  constructor(
    @InjectRepository(RehearsalEntity) private readonly rows: Repository<RehearsalEntity>,
    private readonly lines: LinesService,
    private readonly scripts: ScriptsService,
    private readonly reckoning: Reckoning,
  ) {}

  /** In the order they were made. */
  list(lineId: LineId): Promise<RehearsalEntity[]> {
    return this.rows
      .createQueryBuilder('rehearsal')
      .where({ lineId, deletedAt: IsNull() })
      .orderBy('rehearsal.rowid')
      .getMany();
  }

  /** Keeps new rehearsals; how each goes now is what it is compared with later, if it goes as it should. */
  async add(lineId: LineId, rehearsals: readonly RehearsalDto[]): Promise<RehearsalEntity[]> {
    await this.lines.get(lineId);
    const there = await this.rows.countBy({ lineId, deletedAt: IsNull() });
    if (there + rehearsals.length > rehearsalLimits.most) {
      throw conflict(`A line has at most ${rehearsalLimits.most} rehearsals. Delete some first.`);
    }
    const script = await this.scripts.of(lineId, 'draft');
    const made = rehearsals.map((dto) => ({ id: newId(rehearsalId), ...contentOf(dto), was: null }));
    const rows = await this.withRuns(script, made);
    await this.rows.manager.transaction(async (manager) => {
      for (const row of rows) {
        await manager.insert(RehearsalEntity, { ...row, lineId, revision: 1, deletedAt: null } as never);
      }
    });
    return this.list(lineId);
  }

  async change(lineId: LineId, id: RehearsalId, { revision, ...dto }: ChangeRehearsalDto): Promise<RehearsalEntity> {
    await this.get(lineId, id);
    const script = await this.scripts.of(lineId, 'draft');
    const [changed] = await this.withRuns(script, [{ id, ...contentOf(dto), was: null }]);
    const { name, scene, expects, was } = changed as Rehearsal;
    const changes = { name, scene, expects, was } as Partial<RehearsalEntity>;
    return changeRevision(this.rows, { id }, revision, changes, 'The rehearsal');
  }

  async remove(lineId: LineId, id: RehearsalId): Promise<void> {
    await this.get(lineId, id);
    await this.rows.update({ id }, { deletedAt: Date.now() });
  }

  async restore(lineId: LineId, id: RehearsalId): Promise<RehearsalEntity> {
    await this.rows.update({ id, lineId }, { deletedAt: null });
    return this.get(lineId, id);
  }

  /** How each goes with a script. */
  async run(lineId: LineId, script: CallScript): Promise<Rehearsed[]> {
    return this.reckoning.of('rehearse', { script, rehearsals: await this.list(lineId) });
  }

  /** Those that do not go as they should with a script. */
  async broken(lineId: LineId, script: CallScript): Promise<BrokenRehearsal[]> {
    const all = await this.list(lineId);
    return (await this.run(lineId, script)).filter(isBroken).flatMap((run) => {
      const rehearsal = all.find(({ id }) => id === run.id);
      return rehearsal ? [{ rehearsal, run, key: brokenKey(run) }] : [];
    });
  }

  /** Keeps how each went that went as it should, to compare with later. */
  async keepRuns(lineId: LineId, runs: readonly Rehearsed[]): Promise<void> {
    for (const { id, trace } of runs.filter((run) => !isBroken(run))) {
      await this.rows.update({ id, lineId }, { was: trace as never });
    }
  }

  /** Each with how it goes now, to compare with later, if it goes as it should. */
  private async withRuns(script: CallScript, rehearsals: readonly Rehearsal[]): Promise<Rehearsal[]> {
    const runs = await this.reckoning.of('rehearse', { script, rehearsals });
    return rehearsals.map((rehearsal, index) => {
      const run = runs[index];
      return !run || isBroken(run) ? rehearsal : { ...rehearsal, was: run.trace };
    });
  }

  private async get(lineId: LineId, id: RehearsalId): Promise<RehearsalEntity> {
    const row = await this.rows.findOneBy({ id, lineId, deletedAt: IsNull() });
    if (!row) throw notFound('That rehearsal');
    return row;
  }
}

/** @throws Problem 422 when it is none. */
function contentOf({ name, scene, expects }: RehearsalDto): {
  readonly name: string;
  readonly scene: Scene;
  readonly expects: readonly Expectation[];
} {
  const [readS, readE] = [readScene(scene), readExpectations(expects)];
  if (!readS.ok) throw notARehearsal(readS.problems[0]);
  if (!readE.ok) throw notARehearsal(readE.problems[0]);
  return { name, scene: readS.value, expects: readE.value };
}

function notARehearsal(problem: NotARehearsal | undefined): Error {
  const at = problem?.at ?? 'scene';
  return invalid([{ at, says: `The rehearsal was not understood at ${at}.` }]);
}
