import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { checkSwitch, describeSwitchProblem, type Switch, type SwitchTo } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { IsNull, MoreThan, Repository } from 'typeorm';
import { Clock } from '../clock/clock';
import { LinesService } from '../lines/lines.service';
import { conflict, invalid } from '../problems/problem';
import type { SetSwitchDto } from './switch.dto';
import { SwitchEntity } from './switch.entity';

const mostPast = 20;

/** The switch of a line as it is now, and as it was before, the newest first. */
export interface SwitchState {
  readonly switched: SwitchEntity | null;
  readonly past: readonly SwitchEntity[];
}

@Injectable()
export class SwitchesService {
  constructor(
    @InjectRepository(SwitchEntity) private readonly switches: Repository<SwitchEntity>,
    private readonly lines: LinesService,
    private readonly clock: Clock,
  ) {}

  async state(lineId: LineId): Promise<SwitchState> {
    await this.lines.get(lineId);
    const switched = await this.current(lineId);
    const all = await this.switches.find({ where: { lineId }, order: { id: 'DESC' }, take: mostPast + 1 });
    return { switched, past: all.filter(({ id }) => id !== switched?.id).slice(0, mostPast) };
  }

  /** The switch that is on; it ends by itself. */
  current(lineId: LineId): Promise<SwitchEntity | null> {
    return this.switches.findOne({
      where: { lineId, endedAt: IsNull(), untilMs: MoreThan(this.clock.now()) },
      order: { id: 'DESC' },
    });
  }

  /** Sets the switch from now on. @throws Problem 409 when it is not as it was seen, 422 when it cannot be. */
  async set(lineId: LineId, { to, untilMs, words, by, replaces }: SetSwitchDto): Promise<SwitchState> {
    await this.lines.get(lineId);
    const before = await this.current(lineId);
    if ((before?.id ?? null) !== replaces) {
      throw conflict(
        before
          ? `${before.by} has set the switch meanwhile. Look at it, then set it again if you want.`
          : 'The switch is off by now. Look at it, then set it again if you want.',
      );
    }
    const fromMs = this.clock.now();
    const set: Switch = { to: toOf(to), fromMs, untilMs, words, by };
    const checked = checkSwitch(set);
    if (!checked.ok)
      throw invalid(checked.problems.map((each) => ({ at: 'switch', says: describeSwitchProblem(each) })));
    await this.switches.manager.transaction(async (rows) => {
      if (before) await rows.update(SwitchEntity, { id: before.id }, { endedAt: fromMs, endedBy: by });
      await rows.insert(SwitchEntity, { ...set, lineId });
    });
    return this.state(lineId);
  }

  /** Ends the switch before its time; where it is off already, nothing changes. */
  async end(lineId: LineId, by: string): Promise<SwitchState> {
    const before = await this.current(lineId);
    if (before) await this.switches.update({ id: before.id }, { endedAt: this.clock.now(), endedBy: by });
    return this.state(lineId);
  }
}

/** Without what belongs to another choice. */
function toOf({ type, periodId, sheetId }: SetSwitchDto['to']): SwitchTo {
  const more = { open: { periodId }, closed: {}, sheet: { sheetId } }[type];
  return { type, ...more } as SwitchTo;
}
