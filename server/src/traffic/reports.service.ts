import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { describeCost, describeMonth } from '@locutor/core/cost';
import { countryOf } from '@locutor/core/directory';
import { showDate, wallTime, type DayRange } from '@locutor/core/hours';
import type { LineId } from '@locutor/core/line';
import { reportSpan, type Dial, type ReportPlan } from '@locutor/core/traffic';
import { CallCounting } from '../callLog/callCounting.service';
import { Clock, type Stop } from '../clock/clock';
import type { LineEntity } from '../lines/line.entity';
import { LinesService } from '../lines/lines.service';
import type { Letter } from '../outbox/mail';
import { PeopleService } from '../people/people.service';
import { notFound } from '../problems/problem';
import { Reckoning } from '../reckoning/reckoning.module';
import { SettingsService } from '../settings/settings.service';
import { UsesService } from '../uses/uses.service';
import { TrafficMails } from './trafficMails';
import { TrafficService } from './traffic.service';

const firstAfterMs = 10 * 60_000;
const lookEveryMs = 3_600_000;
/** Reports are there when the office opens, and not at midnight. */
const earliestMinute = 6 * 60;
const dayMs = 86_400_000;

/** Reports of Traffic by e-mail: of the last whole week or month, once each; and what one would look like now. */
@Injectable()
export class ReportsService implements OnApplicationBootstrap, OnModuleDestroy {
  private stop: Stop = () => undefined;

  constructor(
    private readonly traffic: TrafficService,
    private readonly counting: CallCounting,
    private readonly reckoning: Reckoning,
    private readonly settings: SettingsService,
    private readonly lines: LinesService,
    private readonly people: PeopleService,
    private readonly uses: UsesService,
    private readonly mails: TrafficMails,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.stop = this.clock.soonAndEvery(firstAfterMs, lookEveryMs, () => this.look());
  }

  onModuleDestroy(): void {
    this.stop();
  }

  /** Writes the report that is due, unless it was written. */
  async look(): Promise<void> {
    const { report } = await this.settings.get();
    if (report.every === 'never' || report.tell.length === 0) return;
    const line = await this.lineOf(report.lineId);
    if (!line) return;
    const { day, minute } = wallTime(line.timeZone, this.clock.now());
    const span = reportSpan(report.every, day);
    const what = `report ${report.every} ${showDate(span.from)} ${report.lineId ?? 'all'}`;
    // In the morning of the day after, or any time later.
    if ((minute < earliestMinute && day === span.to + 1) || (await this.mails.wasWritten(what))) return;
    await this.mails.once(what, await this.letter(report.lineId, span, line, 'cid:days'), report.tell);
  }

  /** What would be sent now, with its picture in it. */
  async preview(every: Exclude<ReportPlan['every'], 'never'>, lineId: LineId | null): Promise<Letter> {
    const line = await this.lineOf(lineId);
    if (!line) throw notFound('That line');
    const span = reportSpan(every, wallTime(line.timeZone, this.clock.now()).day);
    const letter = await this.letter(lineId, span, line, 'cid:days');
    const days = letter.pictures?.days?.toString('base64') ?? '';
    return {
      subject: letter.subject,
      text: letter.text,
      html: (letter.html ?? '').replace('cid:days', `data:image/png;base64,${days}`),
    };
  }

  private async lineOf(lineId: LineId | null): Promise<LineEntity | undefined> {
    const lines = await this.lines.list();
    return lineId === null ? lines[0] : lines.find(({ id }) => id === lineId);
  }

  private async letter(lineId: LineId | null, span: DayRange, line: LineEntity, picture: string): Promise<Letter> {
    await this.counting.upToNow();
    const country = countryOf(line);
    const locale = country ? `en-${country}` : 'en';
    const days = new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' });
    const of = lineId === null ? 'all lines' : line.name;
    const head = { title: `Calls of ${of}`, days: days.formatRange(span.from * dayMs, span.to * dayMs) };
    const made = await this.reckoning.of('report', {
      ...{ database: this.traffic.database, lineId, span, head, picture },
      names: await this.uses.names(),
      order: (await this.people.list()).map(({ id }) => id),
      dial: dialOf(locale),
      cost: await this.costOf(span, lineId, locale),
    });
    return {
      subject: `${head.title}: ${head.days}`,
      text: made.text,
      html: made.html,
      pictures: { days: Buffer.from(made.days) },
    };
  }

  private async costOf(span: DayRange, lineId: LineId | null, locale: string): Promise<string | null> {
    const asked = { from: showDate(span.from), to: showDate(span.to), ...(lineId && { lineId }) };
    const cost = await this.traffic.cost(asked);
    if (!cost) return null;
    const { rates, budget } = await this.settings.get();
    const [month, ...others] = cost.months;
    // A report of a month tells of that month, one of a week how this one goes.
    const isOver = month && others.length === 0 && month.month !== cost.thisMonth.month;
    if (isOver) return describeMonth(month, rates.currency, locale);
    return describeCost(cost.thisMonth, { currency: rates.currency, budget, forecast: cost.forecast, locale });
  }
}

function dialOf(locale: string): Dial {
  const { hour12 } = new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions();
  return hour12 === false ? 'twentyFour' : 'twelve';
}
