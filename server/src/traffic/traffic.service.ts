import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { readDate, wallTime } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import {
  leastUnpressedDays,
  mostUnpressedDays,
  type AnsweredFigures,
  type RingSum,
  type SheetPresses,
  type WhenSums,
} from '@locutor/core/traffic';
import type { Unpressed } from '@locutor/core/line';
import type { Cost } from '@locutor/core/cost';
import type { LoggedCaller } from '@locutor/core/whatIf';
import { DataSource } from 'typeorm';
import { CallCounting } from '../callLog/callCounting.service';
import { Clock } from '../clock/clock';
import { GroupsService } from '../groups/groups.service';
import { LinesService } from '../lines/lines.service';
import { invalid } from '../problems/problem';
import { Reckoning } from '../reckoning/reckoning.module';
import type { TodaySums } from '../reckoning/todaySums';
import type { Summed } from '../reckoning/daysOfCalls';
import { SettingsService } from '../settings/settings.service';
import { AiringEntity } from '../versions/airing.entity';
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

  /** The day so far, and the last four weeks, of a line. */
  async today(lineId: LineId): Promise<TodaySums> {
    const { day, minute } = await this.now(lineId);
    await this.counting.upToNow();
    const from = { database: this.database, lineId, today: day, minute: Math.floor(minute) };
    return this.reckoning.of('today', from);
  }

  /** Keys of what is on air that nobody pressed since it went there, or in three months; nothing where nothing is on air. */
  async unpressed(lineId: LineId): Promise<Unpressed> {
    const { onAirVersionId, timeZone } = await this.lines.get(lineId);
    const none = { days: 0, keys: [] };
    if (!onAirVersionId) return none;
    const airing = await this.connection
      .getRepository(AiringEntity)
      .findOne({ where: { versionId: onAirVersionId }, order: { at: 'DESC' } });
    if (!airing) return none;
    const { day } = await this.now(lineId);
    // Of today it is not known yet who will press what.
    const from = Math.max(wallTime(timeZone, airing.at).day + 1, day - mostUnpressedDays);
    const days = Math.max(0, day - from);
    if (days < leastUnpressedDays) return { days, keys: [] };
    await this.counting.upToNow();
    const span = { lineId, from, to: day - 1 };
    return this.reckoning.of('unpressed', { database: this.database, span, versionId: onAirVersionId, days });
  }

  private async now(lineId: LineId): Promise<{ readonly day: number; readonly minute: number }> {
    const { timeZone } = await this.lines.get(lineId);
    return wallTime(timeZone, this.clock.now());
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

  /** Where the database is, for worker threads. */
  get database(): string {
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
