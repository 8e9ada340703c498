import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { ProofSubject } from '@locutor/core/proof';
import { Foresight, type OfficeChange } from '../foresight/foresight';
import { factsOf } from './subjects.service';
import type { LineEntity } from '../lines/line.entity';
import { LinesService } from '../lines/lines.service';
import type { Break } from '../problems/problem';
import { Reckoning } from '../reckoning/reckoning.module';
import { UsesService } from '../uses/uses.service';
import { SubjectsService } from './subjects.service';

/** Looks at what callers of every line on air would meet if something of the office were otherwise. */
@Injectable()
export class OnAirLook implements OnModuleInit {
  constructor(
    private readonly foresight: Foresight,
    private readonly lines: LinesService,
    private readonly subjects: SubjectsService,
    private readonly uses: UsesService,
    private readonly reckoning: Reckoning,
  ) {}

  onModuleInit(): void {
    this.foresight.lookWith((change) => this.look(change));
  }

  private async look(change: OfficeChange): Promise<readonly Break[]> {
    const lines = await this.lines.list();
    const found = await Promise.all(lines.map((line) => this.lookAt(line, change)));
    return found.flat();
  }

  private async lookAt(line: LineEntity, change: OfficeChange): Promise<readonly Break[]> {
    const now = await this.subjects.onAirOf(line);
    if (!now) return [];
    const names = await this.uses.names();
    const found = await this.reckoning.of('newlyFound', { now, change: changeOf(now, change), names });
    return found.map(({ says, why }) => ({ lineName: line.name, says, why }));
  }
}

/** The parts of what is read that would be others. */
function changeOf(now: ProofSubject, { lines, ...lists }: OfficeChange): Partial<ProofSubject> {
  const line = lines?.find(({ id }) => id === now.line.id) ?? now.line;
  const allHours = lists.allHours ?? now.allHours;
  const hours = allHours.find(({ id }) => id === line.hoursId) ?? now.hours;
  const all = now.lines.map((each) => ({ ...each, ...factsOf(lines?.find(({ id }) => id === each.id) ?? each) }));
  return { ...lists, line, hours, lines: all };
}
