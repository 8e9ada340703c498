import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { ProofSubject } from '@locutor/core/proof';
import { Foresight, type OfficeChange } from '../foresight/foresight';
import { factsOf } from './subjects.service';
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

  /** All lines at once: a thread that is begun for each would cost more than the reading. */
  private async look(change: OfficeChange): Promise<readonly Break[]> {
    const lines = await this.lines.list();
    const subjects = await Promise.all(lines.map((line) => this.subjects.onAirOf(line)));
    const onAir = lines.flatMap((line, index) => {
      const now = subjects[index];
      return now ? [{ line, now }] : [];
    });
    if (onAir.length === 0) return [];
    const names = await this.uses.names();
    const asked = onAir.map(({ now }) => ({ now, change: changeOf(now, change) }));
    const found = await this.reckoning.of('newlyFound', { lines: asked, names });
    return onAir.flatMap(({ line }, index) =>
      (found[index] ?? []).map(({ says, why }) => ({ lineName: line.name, says, why })),
    );
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
