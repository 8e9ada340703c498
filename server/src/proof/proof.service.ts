import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Attendant, LineId } from '@locutor/core/line';
import { unansweredIn, type ProofSubject } from '@locutor/core/proof';
import { Repository } from 'typeorm';
import { LinesService } from '../lines/lines.service';
import { Reckoning } from '../reckoning/reckoning.module';
import type { SaidFinding } from '../reckoning/task';
import { UsesService } from '../uses/uses.service';
import { AcceptedEntity } from './accepted.entity';
import type { AcceptDto } from './proof.dto';
import { SubjectsService, type ReadAs } from './subjects.service';

/** A finding with its sentences, and the yes it has got. */
export interface ToldFinding extends SaidFinding {
  readonly accepted: Pick<AcceptedEntity, 'reason' | 'by' | 'at'> | null;
}

@Injectable()
export class ProofService {
  constructor(
    @InjectRepository(AcceptedEntity) private readonly rows: Repository<AcceptedEntity>,
    private readonly subjects: SubjectsService,
    private readonly lines: LinesService,
    private readonly uses: UsesService,
    private readonly reckoning: Reckoning,
  ) {}

  /** What the proof finds in an attendant of a line, with the directory as it is now. */
  async read(lineId: LineId, attendant: Attendant, as?: ReadAs): Promise<ToldFinding[]> {
    return this.told(lineId, await this.subjects.of(lineId, attendant, as));
  }

  /** What it finds in what is on air, against the directory, hours, switch and clock as they are now; nothing while nothing is. */
  async readOnAir(lineId: LineId): Promise<ToldFinding[]> {
    const subject = await this.subjects.onAirOf(await this.lines.get(lineId));
    return subject ? this.told(lineId, subject) : [];
  }

  private async told(lineId: LineId, subject: ProofSubject): Promise<ToldFinding[]> {
    const [accepted, names] = await Promise.all([this.accepted(lineId), this.uses.names()]);
    const findings = await this.reckoning.of('proof', { subject, names });
    return findings.map((finding) => ({
      ...finding,
      accepted: accepted.find(({ key }) => key === finding.key) ?? null,
    }));
  }

  /** What stops an attendant from going on air: faults, and cautions nobody has said yes to. */
  async stopping(lineId: LineId, attendant: Attendant, as?: ReadAs): Promise<ToldFinding[]> {
    const findings = await this.read(lineId, attendant, as);
    const unanswered = new Set(unansweredIn(findings, await this.accepted(lineId)).map(({ key }) => key));
    return findings.filter(({ grade, key }) => grade === 'fault' || unanswered.has(key));
  }

  accepted(lineId: LineId): Promise<AcceptedEntity[]> {
    return this.rows.findBy({ lineId });
  }

  /** Says yes to a caution, or silences a tip; once more replaces what was said before. */
  async accept(lineId: LineId, { key, reason, by }: AcceptDto): Promise<AcceptedEntity[]> {
    await this.lines.get(lineId);
    await this.rows.save({ lineId, key, reason, by, at: Date.now() });
    return this.accepted(lineId);
  }

  /** Takes a yes back. */
  async withdraw(lineId: LineId, key: string): Promise<AcceptedEntity[]> {
    await this.rows.delete({ lineId, key });
    return this.accepted(lineId);
  }
}
