import { Controller, Get, HttpCode, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { AnsweredFigures, RingSum, SheetPresses, WhenSums } from '@locutor/core/traffic';
import type { Unpressed } from '@locutor/core/line';
import type { Cost } from '@locutor/core/cost';
import type { LoggedCaller } from '@locutor/core/whatIf';
import { CallCounting } from '../callLog/callCounting.service';
import type { TodaySums } from '../reckoning/todaySums';
import { AnsweredQuery, LineQuery, ReportQuery, SpanQuery } from './span.dto';
import type { Letter } from '../outbox/mail';
import { ReportsService } from './reports.service';
import { TrafficService } from './traffic.service';

@ApiTags('Traffic')
@Controller('api/traffic')
export class TrafficController {
  constructor(
    private readonly traffic: TrafficService,
    private readonly counting: CallCounting,
    private readonly reports: ReportsService,
  ) {}

  /** When people called: sums by weekday and hour, and by day. */
  @Get('when')
  when(@Query() span: SpanQuery): Promise<WhenSums> {
    return this.traffic.when(span);
  }

  /** How long it took until somebody answered. */
  @Get('answered')
  answered(@Query() asked: AnsweredQuery): Promise<AnsweredFigures> {
    return this.traffic.answered(asked);
  }

  /** What callers did in each menu and announcement, and in which second of its words. */
  @Get('pressed')
  pressed(@Query() span: SpanQuery): Promise<readonly SheetPresses[]> {
    return this.traffic.pressed(span);
  }

  /** Who was rung, how that ended, and how long they talked. */
  @Get('work')
  work(@Query() span: SpanQuery): Promise<readonly RingSum[]> {
    return this.traffic.work(span);
  }

  /** What callers did, one by one, for trials of other plans. */
  @Get('callers')
  callers(@Query() span: SpanQuery): Promise<readonly LoggedCaller[]> {
    return this.traffic.callers(span);
  }

  /** What calls cost: months, by line, by key, and what this month will have cost; null while no rate card is typed in. */
  @Get('cost')
  async cost(@Query() span: SpanQuery): Promise<{ readonly cost: Cost | null }> {
    return { cost: await this.traffic.cost(span) };
  }

  /** The day so far of a line, beside such days, and the last four weeks beside the four before. */
  @Get('today')
  today(@Query() { lineId }: LineQuery): Promise<TodaySums> {
    return this.traffic.today(lineId);
  }

  /** Keys of what is on air that nobody pressed for long. */
  @Get('unpressed')
  unpressed(@Query() { lineId }: LineQuery): Promise<Unpressed> {
    return this.traffic.unpressed(lineId);
  }

  /** The report that would be mailed now, with its picture in it. */
  @Get('report')
  report(@Query() { every, lineId }: ReportQuery): Promise<Letter> {
    return this.reports.preview(every, lineId ?? null);
  }

  /** How many calls are still to be counted: few, but after an upgrade. */
  @Get('uncounted')
  async uncounted(): Promise<{ readonly left: number }> {
    return { left: await this.counting.left() };
  }

  /** Counts all calls anew, as after the time zone of a line was changed. */
  @Post('recount')
  @HttpCode(204)
  async recount(): Promise<void> {
    await this.counting.count(true);
  }
}
