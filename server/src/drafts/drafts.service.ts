import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { describeDocumentProblem, readAttendant, type Attendant, type LineId } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { invalid, notFound } from '../problems/problem';
import { changeRevision } from '../rows/changeRevision';
import { DraftEntity } from './draft.entity';
import { storedAttendant } from './storedAttendant';

export interface Draft {
  readonly revision: number;
  /** In ms since 1970. */
  readonly savedAt: number;
  readonly attendant: Attendant;
}

@Injectable()
export class DraftsService {
  constructor(@InjectRepository(DraftEntity) private readonly drafts: Repository<DraftEntity>) {}

  async get(lineId: LineId): Promise<Draft> {
    const row = await this.drafts.findOneBy({ lineId });
    if (!row) throw notFound('That line');
    return { revision: row.revision, savedAt: row.savedAt, attendant: storedAttendant(row.attendant) };
  }

  /** Keeps a draft that started from a revision; what does not hold is refused in words. */
  async save(lineId: LineId, revision: number, document: unknown): Promise<Omit<Draft, 'attendant'>> {
    const read = readAttendant(document);
    if (!read.ok) {
      throw invalid(
        read.problems.map((problem) => ({
          at: problem.type === 'shape' ? problem.at.join('.') : 'attendant',
          says: describeDocumentProblem(problem, document),
        })),
      );
    }
    const changes = { attendant: read.value, savedAt: Date.now() };
    const saved = await changeRevision(this.drafts, { lineId }, revision, changes, 'The draft');
    return { revision: saved.revision, savedAt: saved.savedAt };
  }
}
