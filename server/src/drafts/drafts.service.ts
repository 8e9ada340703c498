import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { describeDocumentProblem, readAttendant, type Attendant, type LineId } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { dataFolder } from '../storage/dataFolder';
import { conflict, invalid, notFound } from '../problems/problem';
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
  constructor(
    @InjectRepository(DraftEntity) private readonly drafts: Repository<DraftEntity>,
    @Inject(dataFolder) private readonly dataDir: string,
  ) {}

  async get(lineId: LineId): Promise<Draft> {
    const row = await this.drafts.findOneBy({ lineId });
    if (!row) throw notFound('That line');
    return { revision: row.revision, savedAt: row.savedAt, attendant: storedAttendant(row.attendant, stored(row)) };
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

  /**
   * Begins anew a draft that cannot be read, from another attendant. What cannot be read is put aside as a file in the
   * data folder: perhaps a later release can.
   */
  async beginAgain(lineId: LineId, revision: number, document: unknown): Promise<Omit<Draft, 'attendant'>> {
    const row = await this.drafts.findOneBy({ lineId });
    if (!row) throw notFound('That line');
    if (readAttendant(row.attendant).ok) throw conflict('The draft can be read. Change it instead of beginning anew.');
    const folder = join(this.dataDir, 'set-aside');
    await mkdir(folder, { recursive: true, mode: 0o700 });
    const text = typeof row.attendant === 'string' ? row.attendant : JSON.stringify(row.attendant);
    await writeFile(join(folder, `draft-${lineId.replace(':', '-')}-${row.revision}.json`), text, { mode: 0o600 });
    return this.save(lineId, revision, document);
  }
}

function stored({ revision }: DraftEntity) {
  return { what: 'The draft', revision };
}
