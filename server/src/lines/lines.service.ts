import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { readPhoneNumber } from '@locutor/core/directory';
import type { LineId } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { notFound } from '../problems/problem';
import { changeRevision } from '../rows/changeRevision';
import type { VersionId } from '../versions/versionId';
import type { ChangeLineDto } from './line.dto';
import { LineEntity } from './line.entity';

@Injectable()
export class LinesService {
  constructor(@InjectRepository(LineEntity) private readonly lines: Repository<LineEntity>) {}

  list(): Promise<LineEntity[]> {
    return this.lines.find();
  }

  async get(id: LineId): Promise<LineEntity> {
    const line = await this.lines.findOneBy({ id });
    if (!line) throw notFound('That line');
    return line;
  }

  change(id: LineId, { revision, ...changes }: ChangeLineDto): Promise<LineEntity> {
    const number = changes.number === undefined ? undefined : readPhoneNumber(changes.number);
    const checked = number?.ok ? { ...changes, number: number.value } : changes;
    return changeRevision(this.lines, { id }, revision, checked, 'The line');
  }

  /** Lets callers hear another version from now on. */
  async turnTo(id: LineId, onAirVersionId: VersionId): Promise<void> {
    await this.lines.update({ id }, { onAirVersionId });
  }
}
