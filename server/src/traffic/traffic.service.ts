import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { readDate, wallTime } from '@locutor/core/hours';
import type { AnsweredFigures, RingSum, SheetPresses, WhenSums } from '@locutor/core/traffic';
import type { Cost } from '@locutor/core/cost';
import type { LoggedCaller } from '@locutor/core/whatIf';
import { DataSource } from 'typeorm';
import { CallCounting } from '../callLog/callCounting.service';
import { Clock } from '../clock/clock';
import { GroupsService } from '../groups/groups.service';
import { LinesService } from '../lines/lines.service';
import { invalid } from '../problems/problem';
import { Reckoning } from '../reckoning/reckoning.module';
import type { Summed } from '../reckoning/trafficSums';
import { SettingsService } from '../settings/settings.service';
import type { AnsweredQuery, SpanQuery } from './span.dto';

/** In how many seconds offices want to answer, most of them. */
const usualWithinS = 20;
/** More than anybody has a log of. */
const mostDays = 20 * 366;

/** Sums what was counted of the calls. All of it is done in worker threads. */
@Injectable()
export class TrafficService {
  constructor(
    @InjectDataSource() private readonly connection: DataSource,
    private readonly counting: CallCounting,
    private readonly reckoning: Reckoning,
    private readonly settings: SettingsService,
    private readonly lines: LinesService,
    private readonly groups: GroupsService,
    private readonly clock: Clock,
  ) {}

  async when(query: SpanQuery): Promise<WhenSums> {
    const span = spanOf(query);
    await this.counting.upToNow();
    return this.reckoning.of('when', { database: this.database, span });
  }

  async answered(query: AnsweredQuery): Promise<AnsweredFigures> {
    const span = spanOf(query);
    await this.counting.upToNow();
    return this.reckoning.of('answered', { database: this.database, span, withinS: query.within ?? usualWithinS });
  }

  async pressed(query: SpanQuery): Promise<readonly SheetPresses[]> {
    const span = spanOf(query);
    await this.counting.upToNow();
    return this.reckoning.of('pressed', { database: this.database, span });
  }

  async work(query: SpanQuery): Promise<readonly RingSum[]> {
    const span = spanOf(query);
    await this.counting.upToNow();
    return this.reckoning.of('work', { database: this.database, span });
  }

  async callers(query: SpanQuery): Promise<readonly LoggedCaller[]> {
    const span = spanOf(query);
    await this.counting.upToNow();
    return this.reckoning.of('callers', { database: this.database, span });
  }

  /** What calls cost; null while no rate card is typed in. */
  async cost(query: SpanQuery): Promise<Cost | null> {
    const span = spanOf(query);
    const { rates } = await this.settings.get();
    if (rates.cards.length === 0) return null;
    await this.counting.upToNow();
    const lines = await this.lines.list();
    const zone = lines[0]?.timeZone ?? 'UTC';
    const { day, minute } = wallTime(zone, this.clock.now());
    const direct = (await this.groups.list()).filter(({ directNumber }) => directNumber !== '').length;
    const numbers = lines.map(({ id, number }, index) => ({
      lineId: id,
      numbers: (number === '' ? 0 : 1) + (index === 0 ? direct : 0),
    }));
    const now = { day, minute: Math.floor(minute) };
    return this.reckoning.of('cost', { database: this.database, span, rates, lines: numbers, now });
  }

  private get database(): string {
    return String(this.connection.options.database);
  }
}

/** @throws Problem 422 where a day is none, or the last is before the first. */
function spanOf({ lineId, from, to }: SpanQuery): Summed {
  const [first, last] = [readDate(from), readDate(to)];
  if (first === undefined) throw invalid([{ at: 'from', says: `There is no day ${from}.` }]);
  if (last === undefined) throw invalid([{ at: 'to', says: `There is no day ${to}.` }]);
  if (last < first) throw invalid([{ at: 'to', says: 'The last day is before the first.' }]);
  if (last - first > mostDays)
    throw invalid([{ at: 'from', says: 'No more than 20 years can be looked at together.' }]);
  return { lineId: lineId ?? null, from: first, to: last };
}
