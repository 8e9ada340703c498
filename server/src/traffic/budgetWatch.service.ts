import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { budgetState, describeCost, sayMonth, showAmount } from '@locutor/core/cost';
import { showDate, wallTime } from '@locutor/core/hours';
import { Clock, type Stop } from '../clock/clock';
import { LinesService } from '../lines/lines.service';
import { SettingsService } from '../settings/settings.service';
import { TrafficMails } from './trafficMails';
import { TrafficService } from './traffic.service';

const firstAfterMs = 5 * 60_000;
const lookEveryMs = 3_600_000;

/** Tells by e-mail, once in a month each, that calls will most likely cost more than the budget, and that they do. */
@Injectable()
export class BudgetWatch implements OnApplicationBootstrap, OnModuleDestroy {
  private stop: Stop = () => undefined;

  constructor(
    private readonly traffic: TrafficService,
    private readonly settings: SettingsService,
    private readonly lines: LinesService,
    private readonly mails: TrafficMails,
    private readonly clock: Clock,
  ) {}

  onApplicationBootstrap(): void {
    this.stop = this.clock.soonAndEvery(firstAfterMs, lookEveryMs, () => this.look());
  }

  onModuleDestroy(): void {
    this.stop();
  }

  async look(): Promise<void> {
    const { budget, rates } = await this.settings.get();
    if (!budget || budget.tell.length === 0) return;
    const [line] = await this.lines.list();
    if (!line) return;
    const today = showDate(wallTime(line.timeZone, this.clock.now()).day);
    const cost = await this.traffic.cost({ from: today, to: today });
    if (!cost) return;
    const { thisMonth, forecast } = cost;
    const state = budgetState(budget, thisMonth.total, forecast);
    if (state === 'within') return;
    const [name, amount] = [sayMonth(thisMonth.month), showAmount(budget.amount, rates.currency, 'en')];
    const subject =
      state === 'over'
        ? `Calls of ${name} are over the budget of ${amount}`
        : `Calls of ${name} will most likely be over the budget of ${amount}`;
    const words = describeCost(thisMonth, { currency: rates.currency, budget, forecast, locale: 'en' });
    const text = `${words}\n\nTraffic tells which lines and keys it is: open “What does it cost?” there.\n`;
    await this.mails.once(`budget ${thisMonth.month} ${state}`, { subject, text }, budget.tell);
  }
}
