import { Injectable } from '@nestjs/common';
import type { CallScript } from '@locutor/core/call';
import type { Attendant, LineId } from '@locutor/core/line';
import { describeExpectation } from '@locutor/core/rehearsals';
import { Problem } from '../problems/problem';
import { ProofService, type ToldFinding } from '../proof/proof.service';
import type { ReadAs } from '../proof/subjects.service';
import { RehearsalsService, type BrokenRehearsal } from '../rehearsals/rehearsals.service';
import { UsesService } from '../uses/uses.service';

/** What stands between an attendant and going on air. */
export interface Standing {
  readonly findings: readonly ToldFinding[];
  readonly broken: readonly BrokenRehearsal[];
}

/** Looks whether an attendant may go on air: no fault, a yes to every caution and to every broken rehearsal. */
@Injectable()
export class AiringCheck {
  constructor(
    private readonly proof: ProofService,
    private readonly rehearsals: RehearsalsService,
    private readonly uses: UsesService,
  ) {}

  findings(lineId: LineId, attendant: Attendant, as?: ReadAs): Promise<ToldFinding[]> {
    return this.proof.stopping(lineId, attendant, as);
  }

  /** Rehearsals that do not go as they should, and that nobody has said yes to. */
  async broken(lineId: LineId, script: CallScript): Promise<readonly BrokenRehearsal[]> {
    const accepted = new Set((await this.proof.accepted(lineId)).map(({ key }) => key));
    return (await this.rehearsals.broken(lineId, script)).filter(({ key }) => !accepted.has(key));
  }

  /** Remembers what is gone on air with all the same. */
  async accept(lineId: LineId, yes: readonly { key: string; reason: string }[], by: string): Promise<void> {
    for (const each of yes) await this.proof.accept(lineId, { ...each, by });
  }

  /** @throws Problem 422 with everything that stands in the way, in words. */
  async mustPass({ findings, broken }: Standing): Promise<void> {
    if (findings.length + broken.length === 0) return;
    const names = await this.uses.names();
    const faults = findings.filter(({ grade }) => grade === 'fault');
    const told = faults.length > 0 ? faults : findings;
    const errors = [
      ...told.map(({ rule, says, advice }) => ({ at: rule as string, says: `${says} ${advice}` })),
      ...(faults.length > 0 ? [] : broken).map(({ rehearsal, run }) => {
        const missed = run.failed.flatMap((index) => rehearsal.expects[index] ?? []);
        const expected = missed.map((each) => describeExpectation(each, names)).join(', ');
        return { at: 'rehearsal', says: `The rehearsal “${rehearsal.name}” no longer holds: it ${expected}.` };
      }),
    ];
    const type = faults.length > 0 ? 'faults' : 'cautions';
    const lead =
      faults.length > 0 ? 'This cannot go on air yet.' : 'This needs a yes, with a reason, before it goes on air.';
    throw new Problem({
      type: `/problems/${type}`,
      title: faults.length > 0 ? 'Faults' : 'Cautions',
      status: 422,
      detail: [lead, ...errors.map(({ says }) => says)].join(' '),
      errors,
    });
  }
}
