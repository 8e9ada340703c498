import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Attendant, Greeting, LineId, RecordedTake } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { storedAttendant } from '../drafts/storedAttendant';
import { LinesService } from '../lines/lines.service';
import { notFound } from '../problems/problem';
import { AiringEntity } from './airing.entity';
import type { KeptDirectory } from './keptDirectory';
import { VersionEntity } from './version.entity';
import type { VersionId } from './versionId';

/** When a version went on air, who did it, and their note. */
export type Airing = Pick<AiringEntity, 'at' | 'by' | 'note' | 'how'>;

export interface Version {
  readonly id: VersionId;
  readonly number: number;
  readonly onAirAt: number;
  readonly draftRevision: number;
  readonly onAir: boolean;
  /** Each time it went on air, the last one first. */
  readonly airings: readonly Airing[];
}

export interface WholeVersion extends Version {
  readonly attendant: Attendant;
  readonly greetings: readonly Greeting[];
  readonly takes: readonly RecordedTake[];
  readonly directory: KeptDirectory | null;
}

/** What was put on air, as it was. */
@Injectable()
export class VersionsService {
  constructor(
    @InjectRepository(VersionEntity) private readonly versions: Repository<VersionEntity>,
    @InjectRepository(AiringEntity) private readonly airings: Repository<AiringEntity>,
    private readonly lines: LinesService,
  ) {}

  /** The line's versions, newest first. */
  async list(lineId: LineId): Promise<Version[]> {
    const line = await this.lines.get(lineId);
    const rows = await this.versions.find({
      where: { lineId },
      order: { number: 'DESC' },
      select: { id: true, number: true, onAirAt: true, draftRevision: true },
    });
    const airings = await this.airings.find({ where: { lineId }, order: { id: 'DESC' } });
    return rows.map((row) => summary(row, line.onAirVersionId, airings));
  }

  async get(lineId: LineId, id: VersionId): Promise<WholeVersion> {
    const line = await this.lines.get(lineId);
    const row = await this.row(lineId, id);
    const airings = await this.airings.find({ where: { versionId: id }, order: { id: 'DESC' } });
    const attendant = storedAttendant(row.attendant);
    const greetings = row.greetings.map((greeting) => ({ ...greeting, take: greeting.take ?? null }));
    const { takes, directory } = row;
    return { ...summary(row, line.onAirVersionId, airings), attendant, greetings, takes, directory };
  }

  async row(lineId: LineId, id: VersionId): Promise<VersionEntity> {
    const row = await this.versions.findOneBy({ id, lineId });
    if (!row) throw notFound('That version');
    return row;
  }
}

function summary(
  row: Pick<VersionEntity, 'id' | 'number' | 'onAirAt' | 'draftRevision'>,
  onAirVersionId: VersionId | null,
  airings: readonly AiringEntity[],
): Version {
  const { id, number, onAirAt, draftRevision } = row;
  const own = airings.filter(({ versionId }) => versionId === id);
  const told = own.map(({ at, by, note, how }) => ({ at, by, note, how }));
  return { id, number, onAirAt, draftRevision, onAir: id === onAirVersionId, airings: told };
}
